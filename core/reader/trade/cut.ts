import { parseQuantity } from '../../units/parse';
import type { Sense } from './lexicon';
import {
  LENGTH,
  OHM,
  BARE_M,
  LEVEL,
  PHANTOM,
  CUT,
  INLINE,
  PAD,
  PAD_OUT,
  CABINET,
  LIFT,
  POLARITY,
  EARTH_GONE,
  SHOCK,
  BATTERY_LOW,
  THROUGH,
  ELSEWHERE,
  FARAD,
  SPL,
  WATT,
  SENSITIVITY,
  DISTANCE,
  NOT,
  MISSED,
  SIDES,
  TIMES,
  RATIO,
  UP,
  DOWN,
  DB,
  FIVE,
  JACK,
  MINI,
  CHANNELS,
  LETTERED,
  NEXT,
  RANGE,
  HASH,
  LEADING,
  ROW,
  BREAK
} from './signs';
import { bare, labelAt, phraseAt, suggestionsFor } from './words';

/** What a stretch of typed text was read as. */
export type Read =
  | Sense
  | { is: 'length'; metres: number }
  | { is: 'ohm'; ohm: number }
  | { is: 'level'; text: string }
  | { is: 'db'; db: number }
  | { is: 'phantom'; on: boolean }
  | { is: 'cut'; hz: number }
  | { is: 'pad'; db: number; inline: boolean }
  | { is: 'lift'; lifted: boolean }
  | { is: 'polarity' }
  /** It is said not to be there: "no phono stage", "without pad". */
  | { is: 'without'; what: Read }
  /** Mains earth that somebody has taken away, as found. */
  | { is: 'unearthed'; shocks?: true }
  /** Of the battery that feeds it. */
  | { is: 'battery-low'; volts?: number }
  /** A load box or an attenuator that passes the amplifier on. */
  | { is: 'through' }
  /** The amplifier's loudspeaker stays plugged. */
  | { is: 'cabinet-on' }
  /** Fed from another circuit than the desk. */
  | { is: 'elsewhere' }
  /** Capacitance of a cable, farads, by the metre or of all of it. */
  | { is: 'farad'; farad: number; each: boolean }
  /** Of an amplifier, with the load that they are meant into where it was said. */
  | { is: 'watt'; watt: number; load?: number }
  | { is: 'spl'; db: number }
  /** Of a microphone, volts for a pascal. */
  | { is: 'sensitivity'; volts: number }
  | { is: 'times'; count: number }
  | { is: 'ratio' }
  /** `loose`: two numbers beside each other that nothing says are channels. */
  | { is: 'channels'; list: readonly number[]; loose?: true }
  | { is: 'number'; value: number }
  | { is: 'unknown'; suggestions: readonly string[] };

export interface Piece {
  readonly from: number;
  readonly to: number;
  readonly text: string;
  /** Number of the part, between commas, arrows, brackets, that it stands in. */
  readonly part: number;
  /** It stands before the colon: a name, and what else there is said counts less. */
  readonly named: boolean;
  readonly read: Read;
  /** What it was taken for, where it is not in the lexicon as it is typed. */
  readonly as?: string;
}

/** Channels said as "13/14", "7+8", "17-19", "A9/A10", "25 26 27": each of them. */
export function channelsOf(text: string): number[] {
  const out: number[] = [];
  for (const part of text.split(/\s*(?:[/+&,]|\band\b)\s*|(?<=\d)\s+(?=\d)/)) {
    const range = /^[a-d]?(\d{1,3})\s*(?:-|–|to)\s*[a-d]?(\d{1,3})$/i.exec(part.trim());
    const [a, b] = range ? [Number(range[1]), Number(range[2])] : [Number(/\d+/.exec(part)?.[0]), NaN];
    if (range && b > a && b - a < 64) for (let n = a; n <= b; n++) out.push(n);
    else if (a > 0) out.push(a);
  }
  return out;
}

/** Cuts what somebody typed into pieces, each with what it was read as. @param row it is a row of a list, which begins by its channel */
export function cut(text: string, row = false): Piece[] {
  const lower = bare(text.toLowerCase())
    .replace(/[’‘]/g, "'")
    .replace(/−/g, '-')
    .replace(/\u00a0/g, ' ');
  const pieces: Piece[] = [];
  let part = 0;
  let i = 0;
  const colon = /^[^:|]{1,60}?:(?=\s)/.exec(lower)?.[0].length ?? 0;
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
  const begins = (): boolean => i === 0 || !/[\p{L}\p{N}]/u.test(lower[i - 1]);
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
    const phrase = label ?? phraseAt(lower, i, guessed(text, i, loud, pieces));
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
    const word = /^[^\s,;|>→(){}[\]:/]+/.exec(lower.slice(i))?.[0] ?? lower[i];
    const value = /^\d+$/.test(word) ? Number(word) : null;
    push(word.length, value === null ? { is: 'unknown', suggestions: suggestionsFor(word) } : { is: 'number', value });
  }
  return pieces;
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

/** A place in what was typed, with the pieces before it. */
interface Place {
  /** In lower case, without accents; as long as `text`. */
  readonly lower: string;
  readonly text: string;
  readonly i: number;
  readonly pieces: readonly Piece[];
}
function matchAt({ lower, i }: Place, pattern: RegExp): RegExpExecArray | null {
  pattern.lastIndex = i;
  return pattern.exec(lower);
}
/** A figure with a point or a comma. */
const valueOf = (figure: string): number => Number(figure.replace(',', '.'));

/** "no phono stage", "without pad": what is said not to be there. */
function without(place: Place): { length: number; read: Read } | null {
  const not = matchAt(place, NOT);
  if (!not) return null;
  const there = { ...place, i: place.i + not[0].length };
  const phrase = phraseAt(place.lower, there.i, false);
  const made = figure(there) ?? (phrase && { length: phrase.length, read: phrase.sense });
  if (!made || !MISSED.has(made.read.is)) return null;
  return { length: not[0].length + made.length, read: { is: 'without', what: made.read } };
}

/** Figures and what is said by a sign of its own. */
function figure(place: Place): { length: number; read: Read } | null {
  const { lower, text, i, pieces } = place;
  const match = (pattern: RegExp): RegExpExecArray | null => matchAt(place, pattern);
  const of = (found: RegExpExecArray | null, read: (m: RegExpExecArray) => Read | null) => {
    const made = found && read(found);
    return made && found ? { length: found[0].length, read: made } : null;
  };
  const last = pieces[pieces.length - 1]?.read;
  // "10M" beside a DI or an input is ten megohms; with a space before it, or in a text all of capitals, it is metres unless "input" follows.
  const capital = /^\d{1,2}M/.test(text.slice(i)) || /^\d{1,2}\s?meg/.test(lower.slice(i));
  const behind = /^\d{1,2}\s?m(?:eg)?\s+(?:input|in\b|active di|di\b|instrument|hi)/.test(lower.slice(i));
  const nearZin =
    capital &&
    (behind ||
      (text !== text.toUpperCase() &&
        (last?.is === 'di' || last?.is === 'input' || (last?.is === 'quality' && last.quality === 'active'))));
  return (
    of(match(EARTH_GONE), () => ({ is: 'unearthed' })) ??
    of(match(SHOCK), () => ({ is: 'unearthed', shocks: true })) ??
    of(match(BATTERY_LOW), (m) => {
      const volts = /(?:to|at)\s+(\d+(?:[.,]\d+)?)\s*v/.exec(m[0])?.[1];
      return { is: 'battery-low', ...(volts ? { volts: valueOf(volts) } : {}) };
    }) ??
    of(match(ELSEWHERE), () => ({ is: 'elsewhere' })) ??
    of(pieces.some((p) => p.read.is === 'box' && p.read.model === 'load-box') ? match(THROUGH) : null, () => ({
      is: 'through'
    })) ??
    of(match(WATT), (m) => ({ is: 'watt', watt: valueOf(m[1]), ...(m[2] ? { load: valueOf(m[2]) } : {}) })) ??
    of(match(SPL), (m) => ({ is: 'spl', db: Number(m[1] ?? m[2]) })) ??
    of(match(SENSITIVITY), (m) => ({ is: 'sensitivity', volts: valueOf(m[1]) / 1000 })) ??
    of(match(DISTANCE), () => ({ is: 'filler' })) ??
    of(match(FARAD), (m) => ({
      is: 'farad',
      farad: valueOf(m[1]) * (/^p/.test(m[2]) ? 1e-12 : 1e-9),
      each: m[3] !== undefined
    })) ??
    of(match(UP), () => ({ is: 'box', model: 'converter-up' })) ??
    of(match(DOWN), () => ({ is: 'box', model: 'converter-down' })) ??
    of(match(PHANTOM), (m) => ({ is: 'phantom', on: m[1] === undefined && m[2] !== 'off' && m[2] !== 'no' })) ??
    of(nearZin ? match(BARE_M) : null, (m) =>
      [1, 2, 3, 5, 10, 20].includes(Number(m[1])) ? { is: 'ohm', ohm: Number(m[1]) * 1e6 } : null
    ) ??
    of(match(LEVEL), (m) => ({ is: 'level', text: m[0] })) ??
    of(match(PAD_OUT), () => ({ is: 'without', what: { is: 'pad', db: 20, inline: false } })) ??
    of(match(CABINET), () => ({ is: 'cabinet-on' })) ??
    of(match(INLINE), (m) => ({ is: 'pad', db: Number(m[1] ?? m[2] ?? 20), inline: true })) ??
    of(match(PAD), (m) => ({ is: 'pad', db: Number(m[1] ?? m[2] ?? 20), inline: false })) ??
    of(match(CUT), (m) => ({ is: 'cut', hz: Number(m[1] ?? 80) })) ??
    of(match(LIFT), (m) => ({ is: 'lift', lifted: !['off', 'closed', 'out'].includes(m[1]) })) ??
    of(match(POLARITY), () => ({ is: 'polarity' })) ??
    of(match(SIDES), () => ({ is: 'sides' })) ??
    of(match(FIVE), (m) =>
      /^(?:5|five)/.test(m[0])
        ? { is: 'instrument', instrument: 'five-string-bass', model: 'active-bass' }
        : { is: 'filler' }
    ) ??
    of(match(JACK), () => ({ is: 'cable', kind: 'instrument' })) ??
    of(
      /^3[.,]5\s*(?:mm)?[\s-]+(?:to|headphone|out|in\b|jack|stereo|ts|trs|y\b)/.test(lower.slice(i))
        ? null
        : match(MINI),
      () => ({ is: 'cable', kind: 'mini' })
    ) ??
    of(match(LENGTH), (m) => {
      const parsed = parseQuantity('length', m[0].replace(/mtrs?|mètres?/, 'm').replace('′', "'"));
      return parsed.ok && parsed.value > 0 ? { is: 'length', metres: parsed.value } : null;
    }) ??
    of(match(OHM), (m) => {
      const n = valueOf(m[1]);
      return { is: 'ohm', ohm: n * (/^m/.test(m[2]) ? 1e6 : /^k/.test(m[2]) ? 1e3 : 1) };
    }) ??
    of(match(TIMES), (m) => ({ is: 'times', count: Number(m[1] ?? m[2]) })) ??
    of(match(RATIO), () => ({ is: 'ratio' })) ??
    of(match(DB), (m) => ({ is: 'db', db: Number(m[1]) })) ??
    of(match(NEXT), (m) =>
      Number(m[2]) === Number(m[1]) + 1 ? { is: 'channels', list: [Number(m[1]), Number(m[2])], loose: true } : null
    ) ??
    of(match(RANGE), (m) => {
      const list = channelsOf(m[0]);
      return list.length > 1 && list.length < 17 ? { is: 'channels', list, loose: true } : null;
    }) ??
    of(match(HASH), (m) => ({ is: 'channels', list: channelsOf(m[0].slice(1)) })) ??
    of(match(LETTERED), (m) => ({ is: 'channels', list: channelsOf(m[0]) }))
  );
}
