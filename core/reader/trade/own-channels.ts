import type { Piece } from './pieces';
import { takeOf, withMic } from './both';
import { MICS } from './evidence';
import { inBrackets, isRig, OF_ALL, partsOf, sounds, textOf, withoutSection } from './parts-of-text';
import type { One } from './several';
import { counted, isOutput } from './sides';

/** Several things in one breath, each with channels of its own: "keys L/R DI 9/10, synth 11", "bass: DI SB 5, cab mic SB 6". */

/** What parts two things; an arrow leads on in the same one. */
const PARTED = /^[\s)\]}]*(?:[,;+&/|]|\band\b|\bplus\b|\s[-–—]\s|\.\s)?\s*$/i;

/** What was typed, each with its own channels; null where it is one thing, or cannot be told apart. */
export function ownChannels(text: string, all: readonly Piece[]): One[] | null {
  const pieces = withoutSection(all);
  const first = pieces.find((p) => !p.named);
  const marks = channelMarks(pieces);
  // "2 acoustics DI 9-10": a number that comes first may tell how many.
  const leads = first !== undefined && isNumber(first);
  // "drums 1-8, bass 9": what goes on behind it are channels, and not how many there are.
  const ranged = pieces.map(asRange);
  const ways = [
    { of: pieces, marks },
    ...(leads ? [{ of: ranged, marks: numberMarks(ranged, true) }] : []),
    { of: ranged, marks: numberMarks(ranged, false) },
    // Without a range the two are the same.
    ...(ranged.some((p, k) => p !== pieces[k]) ? [{ of: pieces, marks: numberMarks(pieces, false) }] : [])
  ].filter((way) => way.marks.length > 1);
  // What parts it further is meant.
  for (const way of ways.sort((a, b) => b.marks.length - a.marks.length)) {
    const own = grouped(text, way.of, way.marks);
    if (own) return own;
  }
  return labelled(text, pieces) ?? rangeFirst(text);
}

/** "1-8" behind an instrument, as the channels that it may be. */
function asRange(p: Piece): Piece {
  const last = p.read.is === 'times' ? /^1\s?[-–]\s?(\d{1,2})$/.exec(p.text)?.[1] : undefined;
  return last === undefined
    ? p
    : { ...p, read: { is: 'channels', list: Array.from({ length: Number(last) }, (_, k) => k + 1), loose: true } };
}

/** "DI 1-4: acoustic, bass, keys L, keys R", "5-7: gtr cab, vox, vox 2": as many behind the colon as numbers before it. */
function rangeFirst(text: string): One[] | null {
  const [, how = '', from, to, rest = ''] =
    /^\s*(dis?|ch(?:annels?|s)?|sb|stage\s?box|snake|mc|multi|inputs?)?\s*(\d{1,2})\s*(?:[-–]|to)\s*(\d{1,2})\s*:\s*(.+)$/i.exec(
      text
    ) ?? [];
  const parts = rest.split(/\s*[,;]\s*/).filter(Boolean);
  const first = Number(from);
  if (parts.length < 2 || parts.length !== Number(to) - first + 1) return null;
  // Of DIs it numbers the boxes.
  return parts.map((one, k) =>
    /^di/i.test(how) ? { text: `${one}, DI`, channels: [] } : { text: one, channels: [first + k] }
  );
}

/** "DI 1 bass, DI 2 keys L": numbered by how they are taken, from the first on. */
function labelled(text: string, pieces: readonly Piece[]): One[] | null {
  const marks = [...text.matchAll(/(?<![\p{L}\d])(di|mic|line)\s+(\d{1,2})(?=\s+\p{L})/giu)];
  const [first] = marks;
  if (marks.length < 2 || first.index !== pieces[0].from) return null;
  const alike = marks.every((m, k) => m[1].toLowerCase() === first[1].toLowerCase() && Number(m[2]) === k + 1);
  if (!alike) return null;
  const how = first[1].toLowerCase() === 'line' ? 'line in' : first[1];
  return marks.map((m, k) => ({
    text: `${tidy(text.slice(m.index + m[0].length, marks[k + 1]?.index))}, ${how}`,
    channels: []
  }));
}

/** One mark: the pieces that tell the channels of one thing, one or several of them in a row. */
type Mark = readonly Piece[];

function channelMarks(pieces: readonly Piece[]): Mark[] {
  return pieces
    .filter(
      (p, k) =>
        p.read.is === 'channels' &&
        !p.named &&
        !p.read.loose &&
        !isOutput(pieces, p) &&
        // "snake 2 ch 4" is the fourth of the second snake.
        !(pieces[k + 1]?.read.is === 'channel' && pieces[k + 2]?.read.is === 'channels')
    )
    .map((p) => [p]);
}

/** The channels that a piece tells, if it is one of them. */
const numbersOf = ({ read }: Piece): readonly number[] =>
  read.is === 'channels' ? read.list : read.is === 'number' ? [read.value] : [];
const valueOf = (p: Piece | undefined): number | null => (p?.read.is === 'number' ? p.read.value : null);

const isNumber = ({ read, named }: Piece): boolean => !named && (read.is === 'number' || read.is === 'channels');
/** What plays; a word that nobody knows where it is told how that is taken: "agogo dyn". */
const instrumentOf = (some: readonly Piece[]): string | undefined =>
  (some.find((p) => p.read.is === 'instrument') ?? strangeOf(some))?.text.toLowerCase();
const strangeOf = (some: readonly Piece[]): Piece | undefined => {
  const kind = some.find(({ read, named }) => !named && (read.is === 'source' || read.is === 'di'));
  return some.find((p) => p.read.is === 'unknown' && /^\p{L}{3,}/u.test(p.text) && kind && p.to <= kind.from);
};

/** "kick 1, snare 2, OHs 3/4", "1 kick 2 snare 3 hat": bare numbers that go on from each other at different things. @param leads the number is said first */
function numberMarks(pieces: readonly Piece[], leads: boolean): Mark[] {
  const which = whichOfThem(pieces);
  const marks: Piece[][] = [];
  for (const [k, p] of pieces.entries()) {
    const before = pieces[k - 1];
    const ofOutput = isOutput(pieces, p) && before.read.is !== 'instrument';
    // "2 condensers" are two of them; "kick 1 snare" is the first.
    const next = pieces[k + 1];
    const kinds = next?.read.is === 'source' && /[^s]s$/i.test(next.text);
    const many = !leads && which.size < 2 && counted(pieces, p) && (before?.read.is !== 'instrument' || kinds);
    if (!isNumber(p) || ofOutput || many || which.has(p)) continue;
    const last = marks[marks.length - 1];
    if (last && last[last.length - 1] === before && valueOf(p) === (valueOf(before) ?? NaN) + 1) last.push(p);
    else marks.push([p]);
  }
  const all = marks.flatMap((mark) => mark.flatMap(numbersOf));
  // "Keys 1 DI 9, Keys 2 DI 12": behind what tells which of them it is, channels need not go on from each other.
  const called = marks.map((mark, k) => {
    const [from, to] = leads ? [mark, marks[k + 1]] : [marks[k - 1], mark];
    return pieces
      .slice(from ? pieces.indexOf(from[from.length - 1]) + 1 : 0, to ? pieces.indexOf(to[0]) : undefined)
      .filter((p) => !p.named || p.read.is === 'instrument');
  });
  // "kick 1, snare 3, hat 5": at the end of parts of different things, some may be left out.
  const players = new Set(called.map(instrumentOf));
  const apart = !leads && marks.length > 2 && players.size === marks.length && marks.every((m) => endsPart(pieces, m));
  const goesOn = (n: number, before: number): boolean => (which.size > 1 || apart ? n > before : n === before + 1);
  if (marks.length < (leads ? 3 : 2) || !all.every((n, k) => k === 0 || goesOn(n, all[k - 1]))) return [];
  // "2 violins, 3 violas" tells how many.
  if (leads && marks.some((mark, k) => (valueOf(mark[0]) ?? 0) > 1 && MANY.test(instrumentOf(called[k]) ?? '')))
    return [];
  const names = called.map((some) => some.map((p) => p.text.toLowerCase()).join(' '));
  const alike = new Set(called.map(instrumentOf)).size === 1;
  // "kick in 1, kick out 2, kick sub 3" are three; "vox 1, vox 2" are the first and the second.
  const isAmps = ({ read }: Piece): boolean => read.is === 'source' && read.model === 'bass-amp-out';
  return called.every(
    (some) => strangeOf(some) !== undefined || some.some((p) => p.read.is === 'instrument' || isRig(p) || isAmps(p))
  ) &&
    new Set(names).size === marks.length &&
    marks.length > (alike && all[0] === 1 && which.size < 2 ? 2 : 1)
    ? marks
    : [];
}
const endsPart = (pieces: readonly Piece[], mark: Mark): boolean => {
  const last = mark[mark.length - 1];
  const next = pieces[pieces.indexOf(last) + 1];
  return next === undefined || next.part > last.part;
};
/** "gtr 1 DI 5, gtr 2 DI 6": numbers right behind what plays that tell which of them it is, where its channel is told behind how it is taken. */
function whichOfThem(pieces: readonly Piece[]): ReadonlySet<Piece> {
  const found = new Set<Piece>();
  for (const [k, p] of pieces.entries()) {
    if (p.named || p.read.is !== 'number' || pieces[k - 1]?.read.is !== 'instrument') continue;
    const rest = pieces.slice(k + 1);
    const next = rest.findIndex((o) => o.read.is === 'instrument');
    const own = next < 0 ? rest : rest.slice(0, next);
    const channel = own.findIndex(isNumber);
    if (channel > 0 && own.slice(0, channel).some(({ read }) => read.is !== 'filler')) found.add(p);
  }
  return found;
}
const MANY =
  /^(?!(?:oh|hat|tom|keys|vox|bvs?|drums|vibes|toys|timps|congas|bongos|chimes|brass|bass|strings|horns)).*[^s]s$/;

function grouped(text: string, pieces: readonly Piece[], marks: readonly Mark[]): One[] | null {
  const first = pieces.find((p) => !p.named);
  const leads = first !== undefined && (first.read.is === 'channel' || marks[0][0] === first);
  const groups = groupsBy(pieces, marks, leads, (p) => inBrackets(text, p));
  // What is said behind the last, of it or of all.
  const last = groups[groups.length - 1];
  let ofAll = '';
  if (groups.length === marks.length + 1 && (!last.some(sounds) || OF_ALL.test(last[0].text))) {
    groups.pop();
    const all = last.some((p) => OF_ALL.test(p.text));
    if (all) ofAll = `, ${textOf(text, last, new Set(last.filter((p) => OF_ALL.test(p.text)))).trim()}`;
    groups[groups.length - 1].push(...(all ? [] : last));
  }
  const end = ofAll ? last[0].from : text.length;
  if (groups.length !== marks.length) return null;
  const has = (group: readonly Piece[]): boolean => group.some((p) => sounds(p) || (!p.named && takeOf(p) !== null));
  if (!groups.every(has)) return null;
  const whose = whoseOf(text, pieces, groups);
  const ones = groups.map((group, k): One | null => {
    const start = group[0].from;
    const next = groups[k + 1]?.[0].from ?? end;
    if (k > 0 && !PARTED.test(text.slice(groups[k - 1][groups[k - 1].length - 1].to, start))) return null;
    const mark = marks[k];
    const channels = mark.flatMap(numbersOf);
    const at = group.indexOf(mark[0]);
    const word = group[at - 1]?.read.is === 'channel' ? group[at - 1] : mark[0];
    // "4-5 OH" is read with its channels behind it.
    const first = leads && channels.length > 1 && mark.length === 1;
    const [from, to] = channels.length === 1 || first ? [word.from, mark[mark.length - 1].to] : [next, next];
    const said =
      tidy(text.slice(start, from) + ' ' + text.slice(to, next)) + (first ? `, ch ${channels.join('/')}` : '');
    // "lead vox radio 1, BV 2, BV 3, both dyn": of those that do not say it themselves.
    const tells = group.some((p) => p.read.is === 'source' || p.read.is === 'di');
    return {
      text: whose(group, said) + (tells && last.some(sounds) ? '' : ofAll),
      channels: channels.length === 1 ? channels : []
    };
  });
  return ones.every((one) => one !== null) ? ones : null;
}

const THRU = /^(?:thru|through|link|loop out|parallel out)/i;

/** Groups of pieces that each hold one mark. @param leads the channel is said first */
function groupsBy(
  pieces: readonly Piece[],
  marks: readonly Mark[],
  leads: boolean,
  bracketed: (p: Piece) => boolean
): Piece[][] {
  const groups: Piece[][] = [];
  const marked = (p: Piece): boolean => marks.some((mark) => mark.includes(p));
  let open = false;
  for (const part of partsOf(pieces)) {
    let rest = part;
    // Several in one part: "kick 1 snare 2".
    while (rest.length > 0) {
      const at = rest.findIndex(marked);
      let end = rest.length;
      if (at >= 0 && !leads) {
        end = at + 1;
        while (
          end < rest.length &&
          marked(rest[end]) &&
          marks.some((m) => m.includes(rest[end]) && m.includes(rest[end - 1]))
        )
          end++;
        // What stands behind it in the same part belongs to it, but for another one.
        if (!rest.slice(end).some(marked)) end = rest.length;
      } else if (at >= 0) {
        const again = rest.findIndex((p, k) => k > at && marked(p));
        const word = again > 0 && rest[again - 1].read.is === 'channel' ? again - 1 : again;
        if (again > 0) end = word;
      }
      const some = rest.slice(0, end);
      const here = some.some(marked);
      // "bass DI SB 9, thru to his amp, cab mic SB 10": what goes on by the thru is of the one before.
      // So is what stands in brackets behind it: "snare 2 (gate)".
      const goesOn = !open && !here && groups.length > 0 && (THRU.test(some[0].text) || bracketed(some[0]));
      // "16 ch: 1 kick 2 snare": what stands before the colon is of the first.
      const called = groups.length === 1 && groups[0].every((p) => p.named);
      if (!goesOn && (!open || (leads && here && !called))) groups.push([]);
      groups[groups.length - 1].push(...some);
      if (!goesOn) open = leads || !here;
      rest = rest.slice(end);
    }
  }
  return groups;
}

/** Gives a group the words that say what it is of, where it has none: those before the colon, or the instrument said first. */
function whoseOf(
  text: string,
  pieces: readonly Piece[],
  groups: readonly Piece[][]
): (group: readonly Piece[], said: string) => string {
  const named = pieces.filter((p) => p.named);
  const called = text.slice(named[0]?.from ?? 0, named[named.length - 1]?.to ?? 0);
  const plays = (p: Piece): boolean => p.read.is === 'instrument';
  const player = groups[0].find(plays);
  const sounds = (group: readonly Piece[]): boolean => group.some((p) => !p.named && plays(p));
  // "drums: kick 1, snare 2": what each is called is said again; "Anna: vox 1, guitar 2" are hers.
  const person = named.length > 0 && !named.some(tellsOrAmp) ? `${called} ` : '';
  return (group, told) => {
    const alone = group.every((p) => isRig(p) || ['channel', 'channels', 'number', 'input'].includes(p.read.is));
    const said = alone ? `${told} mic` : told;
    const bare = said.startsWith(`${called}:`) ? said.slice(called.length + 1).trim() : said;
    if (sounds(group) || (named.length === 0 && group.some(isRig)))
      return named.length > 0 && groups.every(sounds) ? person + bare : said;
    const whole =
      named.length > 0 ? `${called}: ${bare}` : player && group !== groups[0] ? `${player.text} ${said}` : said;
    const usual = player?.read.is === 'instrument' ? player.read.model : undefined;
    const mic = !group.some((p) => p.read.is === 'source') && group.some((p) => takeOf(p) === 'mic');
    return mic && !(usual && MICS.has(usual)) ? withMic(whole) : whole;
  };
}
const tellsOrAmp = ({ read }: Piece): boolean => ['instrument', 'source', 'amp', 'di', 'box'].includes(read.is);

const tidy = (said: string): string =>
  said
    .replace(/\(\s*\)|\[\s*\]/g, ' ')
    .replace(/^[\s,;+&/|)\].–—-]+(?!\d)|[\s,;+&/|(\[–—-]+$/g, '')
    .replace(/\s+/g, ' ');
