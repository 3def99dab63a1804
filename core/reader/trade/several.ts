import { cutText } from '../../text/well-formed';
import type { Piece } from './pieces';
import type { Options } from './read';
import { together, type TradeReading } from './reading';
import { channelsSaid } from './sides';

/** Several lines typed as one, each with its own channel: "kick ch 1, snare ch 2", "kick, snare, hat, 1-3". */

interface One {
  readonly text: string;
  readonly channel: number;
}
const tells = ({ read, named }: Piece): boolean => !named && (read.is === 'instrument' || read.is === 'source');
const partsOf = (pieces: readonly Piece[]): Piece[][] => {
  const parts = new Map<number, Piece[]>();
  for (const p of pieces) parts.set(p.part, [...(parts.get(p.part) ?? []), p]);
  const [first, second, ...rest] = [...parts.values()];
  // A channel that begins the whole belongs to what comes next.
  return second && first.every(({ read }) => read.is === 'channel' || read.is === 'channels')
    ? [[...first, ...second], ...rest]
    : [...parts.values()];
};
/** What was typed, without some of its pieces. */
const textOf = (text: string, some: readonly Piece[], without: ReadonlySet<Piece> = new Set()): string => {
  const left = some.filter((p) => !without.has(p));
  return left.map((p, k) => (k > 0 && p.part !== left[k - 1].part ? ', ' : ' ') + text.slice(p.from, p.to)).join('');
};

/** "bass: DI, amp thru, SB 9; cab mic SB 10": with a channel on either side, a semicolon ends a line. */
function bySemicolon(text: string, pieces: readonly Piece[]): One[] | null {
  const parts = text.split(';');
  if (parts.length < 2) return null;
  const whose = pieces.some((p) => p.named) ? (/^[^:|;]{1,60}?:\s/.exec(text)?.[0] ?? '') : '';
  let from = 0;
  const ones = parts.map((part, k): One | null => {
    const [start, end] = [from, from + part.length];
    from = end + 1;
    const own = pieces.filter((p) => p.from >= start && p.to <= end);
    const [said, ...more] = own.filter(({ read, named }) => read.is === 'channels' && !read.loose && !named);
    if (said?.read.is !== 'channels' || said.read.list.length !== 1 || more.length > 0) return null;
    return { text: (k > 0 && !/:\s/.test(part) ? whose : '') + part.trim(), channel: said.read.list[0] };
  });
  return ones.every((one) => one !== null) ? ones : null;
}

/** Each part with a channel of its own that something is said of: "ch 5 bass DI, ch 6 bass mic", "vox SB 1, spare SB 2". */
function eachWithItsOwn(text: string, pieces: readonly Piece[]): One[] | null {
  const parts = partsOf(pieces);
  const channelIn = (part: readonly Piece[]): Piece[] =>
    part.filter((p, k) => p.read.is === 'channels' && !p.read.loose && p.read.list.length === 1 && (k > 0 || !p.named));
  const owners = parts.filter((part) => channelIn(part).length === 1);
  if (owners.length < 2 || owners.length !== parts.filter((part) => channelIn(part).length > 0).length) return null;
  // Said first, a channel begins its line; said last, it ends it.
  const leads = ['channel', 'channels'].includes(pieces[0].read.is);
  const groups: Piece[][] = [];
  let open = false;
  for (const part of parts) {
    const own = channelIn(part).length > 0;
    if (!open || (leads && own)) groups.push([]);
    groups[groups.length - 1].push(...part);
    open = leads || !own;
  }
  if (groups.length !== owners.length || !groups.every((group) => group.some(tells))) return null;
  return groups.map((group): One => {
    const [said] = channelIn(group);
    const before = group[group.indexOf(said) - 1];
    return {
      text: textOf(text, group, new Set(before?.read.is === 'channel' ? [said, before] : [said])),
      channel: said.read.is === 'channels' ? said.read.list[0] : 0
    };
  });
}

/** "gtr 2" and no more. */
const isNumbered = (part: readonly Piece[]): boolean =>
  part.length === 2 && part[0].read.is === 'instrument' && part[1].read.is === 'number';
const isSame = (a: Piece, b: Piece): boolean => a.text.toLowerCase() === b.text.toLowerCase();
/** What is said of all in the last of them, as a part of its own. */
function sharedBehind(part: readonly Piece[]): (readonly Piece[])[] {
  const all = part.findIndex(({ read, text }) => ALL.test(text) || (read.is === 'source' && /[^s]s$/i.test(text)));
  return all > 0 && part.slice(0, all).some(tells) ? [part.slice(0, all), part.slice(all)] : [part];
}

/** As many instruments as channels, one after the other, and what is said behind them of each: "alto sax, tenor sax, clips, 9 10". */
function asManyAs(text: string, pieces: readonly Piece[]): One[] | null {
  const channels = channelsSaid(pieces);
  if (channels.length < 2) return null;
  const isChannel = ({ read }: Piece): boolean =>
    read.is === 'channels' || read.is === 'channel' || (read.is === 'number' && channels.includes(read.value));
  // "violin, viola, cello all clip condensers": said in the last of them, of all.
  const parts = partsOf(pieces).flatMap((part, k, all) => {
    // "gtr 1 & gtr 2 cab dyn": what is said behind the second is of both.
    if (
      part.length > 2 &&
      k > 0 &&
      isNumbered(all[k - 1]) &&
      isNumbered(part.slice(0, 2)) &&
      isSame(all[k - 1][0], part[0])
    )
      return [part.slice(0, 2), part.slice(2)];
    return sharedBehind(part);
  });
  const plays = (part: readonly Piece[]): boolean =>
    part.filter((p) => p.read.is === 'instrument').length === 1 &&
    !part.some((p) =>
      ['sides', 'channels', 'count', 'times', 'di', 'box', 'length', 'input', 'amp'].includes(p.read.is)
    );
  let many = 0;
  while (many < parts.length && plays(parts[many])) many++;
  if (many !== channels.length) return null;
  const first = parts.slice(0, many);
  // "hihat, ride: condensers, 5/6": what stands before the colon is all of their names.
  const named = (part: readonly Piece[]): boolean => part.some((p) => p.named);
  if (parts.some(named) && !(first.every(named) && !parts.slice(many).some(named))) return null;
  // Drums and voices, or things of one kind: "guitar, single coil, 5/6" is one guitar.
  const names = first.map((part) =>
    part
      .filter((p) => p.read.is === 'instrument' || p.read.is === 'number')
      .map((p) => p.text.toLowerCase())
      .join(' ')
  );
  if (new Set(names).size !== many) return null;
  const rest = parts
    .slice(many)
    .flat()
    .filter((p) => !ALL.test(p.text));
  // "horn section" is all of them.
  if (rest.some((p) => p.read.is === 'instrument' && !SECTION.test(p.text))) return null;
  const behind = textOf(text, rest, new Set(rest.filter((p) => isChannel(p) || SECTION.test(p.text))));
  return first.map((part, k) => ({
    text: `${textOf(text, part)}${behind.trim() ? `, ${behind}` : ''}`,
    channel: channels[k]
  }));
}

const ALL = /^(?:all|each|both)$/i;
const SECTION = /\b(?:section|horns|brass|strings|winds)$/i;

type Reader = (one: string, options: Options) => TradeReading;
type Split = (text: string, pieces: readonly Piece[], options: Options, read: Reader) => TradeReading | null;

/** Lines that each have a channel of their own. @param read reads one of them */
export const eachOf: Split = (text, pieces, options, read) =>
  joined(bySemicolon(text, pieces) ?? eachWithItsOwn(text, pieces), pieces, options, read);
/** An instrument for every channel. @param read reads one of them */
export const manyOf: Split = (text, pieces, options, read) => joined(asManyAs(text, pieces), pieces, options, read);

/** Several as one reading; null where they are none, or one of them cannot be read. */
function joined(
  ones: readonly One[] | null,
  pieces: readonly Piece[],
  options: Options,
  read: Reader
): TradeReading | null {
  if (!ones || options.channel !== undefined) return null;
  const readings = ones.map(({ text: one, channel }) => read(one.trim(), { ...options, channel }));
  // What goes on by a thru is one more.
  if (readings.some((r) => r.specs.filter((s) => !s.thru).length !== 1)) return null;
  const specs = readings.flatMap((r) => r.specs);
  const twice = (name: string, k: number): number => specs.slice(0, k).filter((s) => s.name === name).length;
  const here = (some: readonly Piece[]): Piece[] =>
    some.flatMap((one) => pieces.find((p) => p.text.toLowerCase() === one.text.toLowerCase()) ?? []);
  const named = specs.map((s, k) => ({
    ...s,
    name: twice(s.name, k) ? cutText(`${s.name} ${twice(s.name, k) + 1}`, 80) : s.name
  }));
  return {
    ...together(readings, pieces, named),
    ignored: here(readings.flatMap((r) => r.ignored)),
    guessed: here(readings.flatMap((r) => r.guessed))
  };
}
