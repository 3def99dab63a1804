import { CHANNELS, LEADING, ROW, BREAK, SHORTENED } from './signs';
import { BOX_NUMBER } from './box-numbers';
import { figure, matchAt, type Place, without } from './figures';
import { channelsOf, type Piece, type Read } from './pieces';
import { bare, labelAt, phraseAt, suggestionsFor } from './words';

/** Cuts what somebody typed into pieces, each with what it was read as. @param row it is a row of a list, which begins by its channel */
export function cut(text: string, row = false): Piece[] {
  const lower = bare(text.toLowerCase())
    .replace(/[’‘]/g, "'")
    .replace(/−/g, '-')
    .replace(/\u00a0/g, ' ')
    // The point of a word cut short ends nothing: "pass. DI", "el. piano".
    .replace(SHORTENED, '$1 ')
    // Of a pickup.
    .replace(/\bp\/u(?=s?(?:[\s,;)]|$))/g, 'pu ');
  const pieces: Piece[] = [];
  let part = 0;
  let i = 0;
  const before = /^[^:|]{1,60}?:(?=\s)/.exec(lower)?.[0].length ?? 0;
  // "double bass piezo and mic: 11, 12" says all of it before the colon: no name.
  const colon = ONLY_CHANNELS.test(lower.slice(before)) ? 0 : before;
  const loud = text === text.toUpperCase();
  const push = (length: number, read: Read, as?: string): void => {
    const named = i < colon && read.is !== 'channels';
    pieces.push({ from: i, to: i + length, text: text.slice(i, i + length), part, named, read, ...(as ? { as } : {}) });
    i += length;
  };
  const here = (): Place => ({ lower, text, i, pieces });
  const match = (pattern: RegExp): RegExpExecArray | null => matchAt(here(), pattern);
  const leading = (row ? ROW : LEADING).exec(lower);
  if (leading) {
    i = leading[0].indexOf(leading[1]);
    push(leading[1].length, { is: 'channels', list: channelsOf(leading[1]) });
    part++;
  }
  // "FB2-1 Piano L", "RF3 Lectern": how a socket is called is neither a channel nor a count.
  const socket = SOCKET.exec(lower.slice(i));
  if (socket)
    push(
      socket[0].length,
      socket[0].startsWith('rf') ? { is: 'source', model: 'wireless-receiver', weight: BY_ITS_SOCKET } : { is: 'note' }
    );
  // "2x10m": the length begins behind its count.
  const begins = (): boolean =>
    i === 0 || !/[\p{L}\p{N}]/u.test(lower[i - 1]) || pieces[pieces.length - 1]?.read.is === 'times';
  while (i < lower.length) {
    if (/\s/.test(lower[i]) && lower[i] !== '\t') {
      BREAK.lastIndex = i;
      const dash = BREAK.exec(lower);
      i += dash ? dash[0].length : 1;
      if (dash) part++;
      continue;
    }
    const label = labelAt(lower, i);
    const not = begins() && !label ? without(here()) : null;
    if (not) {
      push(not.length, not.read);
      continue;
    }
    const read = begins() && !label ? figure(here()) : null;
    if (read) {
      push(read.length, read.read);
      continue;
    }
    BREAK.lastIndex = i;
    const broken = BREAK.exec(lower);
    const whole = label ?? phraseAt(lower, i, guessed(text, i, loud, pieces));
    // "active DI 10m" goes on for ten metres; its input of 10 M is written with a capital, or before the length of the run.
    const more = whole && LENGTH_BEHIND.test(lower.slice(i + whole.length));
    const run = whole && !more && METRES_BEHIND.exec(text.slice(i, i + whole.length));
    // "two guitars in stereo": no input for guitars.
    const stereo = whole?.sense.is === 'input' && IN_STEREO.test(lower.slice(i + whole.length - 3));
    const shorter = run ? i + run.index : stereo ? i + whole.length - 3 : null;
    const phrase = shorter !== null ? phraseAt(lower.slice(0, shorter), i, false) : whole;
    if (broken && !(phrase && phrase.length > broken[0].length)) {
      i += broken[0].length;
      part++;
      continue;
    }
    if (phrase) {
      const { sense } = phrase;
      push(phrase.length, sense, phrase.as);
      if (
        sense.is === 'input' ||
        sense.is === 'channel' ||
        (sense.is === 'amp' && /speakers?$/.test(lower.slice(0, i)) === false)
      ) {
        const box = sense.is === 'input' ? match(BOX_NUMBER) : null;
        if (box) push(box[0].length, { is: 'filler' });
        const list = match(CHANNELS);
        if (list) {
          const said = lower.slice(i, i + length(list));
          i += said.length - said.trimStart().length;
          push(said.trimStart().length, {
            is: 'channels',
            list: channelsOf(said.replace(/^\s*(?:no\.?|nr\.?|#|ch(?:annels?)?\.?|\.)\s*/, ''))
          });
        }
      }
      continue;
    }
    const strange = /^[^\s,;|>→(){}[\]:/]+/.exec(lower.slice(i))?.[0] ?? lower[i];
    const word = beforeKnown(lower, i, strange);
    // "2. snare": the number of a row among others.
    const numbered = /^\d{1,3}\.$/.test(word) && pieces[pieces.length - 1]?.part !== part;
    const value = numbered || /^\d+$/.test(word) ? Number.parseInt(word, 10) : null;
    push(word.length, value === null ? { is: 'unknown', suggestions: suggestionsFor(word) } : { is: 'number', value });
  }
  return pieces;
}

const LENGTH_BEHIND = /\d\s*(?:m|ft|feet|met(?:re|er)s?)\b/;
const IN_STEREO = /^ in\s+(?:stereo|mono)\b/;
const METRES_BEHIND = /(?<=[dD][iI])[\s,]+10\s?m$/;
/** Less than a microphone that was named. */
const BY_ITS_SOCKET = 51;
/** "Pc2 timps" is a desk of a pit; "PC2" of a conference is a computer. */
const SOCKET =
  /^(?:(?:rf|fb|fp|wp|wb|jb|tl|wl|cp)[\s-]?|pc(?=\d\s+(?:kit|timp|glock|drums?\b|perc|mallet|vib|xyl|toys|bd\b|snare)))\d{1,2}(?:[-./]\d{1,2})?(?=\s+[a-z])/;
const ONLY_CHANNELS = /^\s*(?:(?:sb|mc|ch|chs|channels?|inputs?|snake|stage\s?box)\s*)?[a-d]?\d[\d\s,/&+–-]*$/;

/** "P-bass": what stands before the hyphen, where behind it stands an instrument. */
function beforeKnown(lower: string, i: number, word: string): string {
  const hyphen = word.lastIndexOf('-') + 1;
  if (hyphen < 2 || hyphen === word.length) return word;
  const known = phraseAt(lower, i + hyphen, false);
  const plays = known?.sense.is === 'instrument' && known.as === undefined;
  return plays ? word.slice(0, hyphen) : word;
}

/** How much of it are channels: "25 26 27" where each follows the one before, of "SB 9 12" the first. */
function length(list: RegExpExecArray): number {
  const [whole, , , loose] = list;
  if (!loose) return whole.length;
  const all = channelsOf(whole);
  const run = all.every((n, k) => k === 0 || n === all[k - 1] + 1);
  return run ? whole.length : whole.length - loose.length;
}

/** Names are no slips of the finger: neither before a colon nor a capital in the middle of small letters. */
const guessed = (text: string, i: number, loud: boolean, pieces: readonly Piece[]): boolean =>
  loud || i === 0 || text[i] === text[i].toLowerCase() || pieces.length === 0;
