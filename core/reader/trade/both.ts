import { modelOf } from '../../gear/catalogue';
import { cutText } from '../../text/well-formed';
import type { LineSpec } from '../../plan/spec';
import { MICS } from './evidence';
import { SECTION } from './parts-of-text';
import type { Piece } from './pieces';
import type { Options } from './read';
import { together, type TradeReading } from './reading';
import { channelsSaid, isMany, sidesOf } from './sides';

/** Two ways of taking one thing, each a line of its own: "dyn + ribbon", "bass DI + bass mic", "upright, piezo and mic, 19+20". */

/** How one thing may be taken. */
type Take = 'mic' | 'di' | 'pickup';
const BARE_MIC = /^(?:clip[\s-]*(?:on )?)?(?:mic|microphone|mik)$/i;
const PICKUP = /^(?:pick ?ups?|pu|magnetic|mag)$/i;
const PICKUPS: ReadonlySet<string> = new Set([
  'piezo',
  'contact-disc',
  'soundhole-magnetic',
  'upright-magnetic',
  'acoustic-preamp'
]);

export function takeOf(piece: Piece): Take | null {
  const { read, text } = piece;
  if (read.is === 'di') return 'di';
  if (read.is === 'source') return isHeld(read.model) ? 'mic' : PICKUPS.has(read.model) ? 'pickup' : null;
  if (read.is === 'magnetic' || PICKUP.test(text)) return 'pickup';
  if (read.is === 'instrument' && MICS.has(read.model)) return 'mic';
  if (read.is === 'amp' && /\bmi[ck]/i.test(text)) return 'mic';
  // "pickup + clip": what is clipped on is a microphone.
  return (read.is === 'filler' && BARE_MIC.test(text)) || (read.is === 'note' && CLIP.test(text)) ? 'mic' : null;
}
const CLIP = /^clip[\s-]*(?:on)?$/i;

/** Microphones that somebody holds or wears, by a cable or by radio, count as well. */
const isHeld = (model: string): boolean => MICS.has(model) || model === 'lavalier' || model === 'wireless-receiver';

const kindOf = (some: readonly Piece[]): string | undefined =>
  some.flatMap(({ read }) => (read.is === 'source' && MICS.has(read.model) ? [read.model] : []))[0];

const JOINED = /\s(?:and|&|plus)\s|\s?\/\s?|\s?\+\s?(?=\D)/gi;
const OR_COMMA = /\s(?:and|&|plus)\s|\s?\/\s?|\s?\+\s?(?=\D)|,\s/gi;

interface Split {
  readonly halves: readonly [string, string];
  /** Null where they are two instruments, taken alike. */
  readonly takes: readonly [Take, Take] | null;
}

/** Which microphone, where nobody said: a dynamic one before a loudspeaker, a small condenser on anything that sounds by itself. */
export const withMic = (said: string): string => {
  const kind = /\b(?:cab(?:inet)?|amp|gtr|guitar|bass)\b/i.test(said) && !/\b(?:double|upright|acoustic)\b/i.test(said);
  return said.replace(/\bmi(?:c|k|crophone)\b/i, kind ? 'dynamic mic' : 'condenser mic');
};

/** "…, 15 m each, phantom on both": what is said behind the second of both. */
const ofEach = (behind: string): string =>
  behind
    .split(',')
    .slice(1)
    .filter((part) => /\b(?:each|both|all)\b|\b(?:2|two)\s*x?\s*di'?s?\b|\bdi'?s\b/i.test(part))
    .map((part) => `,${part}`)
    .join('');
/** "mag + piezo into dual DI": a channel of it for each. */
const DUAL_DI = /^[^,;]*\b(?:dual|stereo|twin|two|2\s*x?)[\s-]+(?:(?:active|passive)\s+)?dis?\b/i;
/** Where a text falls into two takes, one of them by a microphone; null where it does not. */
function splitOf(text: string, pieces: readonly Piece[]): Split | null {
  const prefix = pieces.some((p) => p.named) ? (/^[^:|]{1,60}?:\s/.exec(text)?.[0] ?? '') : '';
  // With a channel for each a comma joins them, too: "bass: DI, mic, ch 3-4".
  const joined = channelsSaid(pieces).length === 2 && sidesOf(pieces) === 1 ? OR_COMMA : JOINED;
  for (const plus of text.slice(prefix.length).matchAll(joined)) {
    const from = prefix.length + plus.index;
    const to = from + plus[0].length;
    // "L & R" is one piece.
    if (pieces.some((p) => p.from < from && p.to > to)) continue;
    const before = pieces.filter((p) => !p.named && p.to <= from);
    const after = pieces.filter((p) => p.from >= to);
    // What stands right beside the joining word tells how each half is taken.
    const own = (some: readonly Piece[]): Take[] => some.flatMap((p) => takeOf(p) ?? []);
    const [first, second] = [own(before), own(after)];
    const one = first.includes('di') ? 'di' : (first[first.length - 1] ?? null);
    const other = second.includes('di') ? 'di' : (second[0] ?? null);
    if (!one || !other) continue;
    const mics = Number(one === 'mic') + Number(other === 'mic');
    const told = (some: readonly Piece[]): boolean => some.some((p) => p.read.is === 'source' && takeOf(p) === 'mic');
    // "kick: dynamic inside, boundary too": two kinds of microphone.
    const kinds = [kindOf(before), kindOf(after)];
    const two = mics === 2 && kinds.every((kind) => kind !== undefined) && kinds[0] !== kinds[1];
    if (plus[0].includes(',') && !((mics === 1 || two) && after[0] && takeOf(after[0]))) continue;
    // "magnetic + piezo, 7/8": two pickups on one instrument.
    const pickups = channelsSaid(pieces).length === 2 && one === 'pickup' && second[0] === 'pickup';
    if ((mics === 0 && !pickups) || (mics === 2 && !(told(before) && told(after)))) continue;
    // A slash joins but the two words beside it; elsewhere it parts channels and sides.
    if (plus[0].includes('/') && !(takeOf(before[before.length - 1]) && takeOf(after[0]))) continue;
    const plays = (some: readonly Piece[]): Piece | undefined => some.find((p) => p.read.is === 'instrument');
    const usual = (some: readonly Piece[]): string => {
      const read = plays(some)?.read;
      return read?.is === 'instrument' ? read.model : '';
    };
    const player = plays(before)?.text ?? /\b(?:gtr|guitar|bass)\b/i.exec(text.slice(0, from))?.[0];
    const whose = (!prefix || plays(before)) && player && !plays(after) ? `${player} ` : '';
    const half = (said: string, some: readonly Piece[], take: Take): string =>
      (take === 'mic' && !told(some) && !MICS.has(usual(some)) ? withMic(said) : said)
        .replace(/\bboth\b/gi, '')
        // Of each half there is one.
        .replace(/\b(?:two|2)\s*(?:ch(?:an(?:nel)?)?s?|lines?|inputs?)\b/gi, '');
    const dual = one === 'pickup' && DUAL_DI.test(text.slice(to)) ? ', DI' : '';
    return {
      halves: [
        half(text.slice(0, from) + dual + ofEach(text.slice(to)), before, one),
        half(prefix + whose + text.slice(to), after, other)
      ],
      takes: [one, other]
    };
  }
  return null;
}

/** What two players have in common is one line's: what mixes them, or what plays both back. */
const oneLine = ({ read }: Piece): boolean =>
  ['mono', 'box', 'amp', 'click'].includes(read.is) ||
  (read.is === 'source' && !['microphone', 'instrument'].includes(modelOf(read.model).ports[0].level));

/** "whistle + pipes on one mic". */
const SHARED = /\b(?:(?:on|around|into|by)\s+(?:one|a single|the same)|(?:share|sharing)\s+(?:one|an?|the))\b/i;

/** "keys and synth DI 7/8", "vox + gtr": two instruments, with a channel for each or none, taken as is said behind them. */
function twoOf(text: string, pieces: readonly Piece[]): Split | null {
  const channels = channelsSaid(pieces).length;
  if (channels !== 2 && (channels > 0 || pieces.some(oneLine) || SHARED.test(text))) return null;
  const all = pieces.filter((p) => !p.named && p.read.is === 'instrument');
  // "vox + guitar, singer-songwriter": what is said behind them tells who plays both.
  const [first, second, ...more] = all.filter((p, k) => k < 2 || p.part <= all[1].part);
  if (!second || more.length > 0 || all.slice(2).some((p) => SECTION.test(p.text))) return null;
  // "keys 1 and keys 2": the number is of the name.
  const end = (p: Piece): number => {
    const next = pieces[pieces.indexOf(p) + 1];
    return next?.read.is === 'number' ? next.to : p.to;
  };
  const called = (p: Piece): string => text.slice(p.from, end(p)).toLowerCase();
  if (called(first) === called(second)) return null;
  const sides = pieces.filter((p) => p.read.is === 'sides');
  // "tracks L/R + vox": sides are of the one beside them; behind both they are of both, or of one that nobody can tell.
  if (channels === 0 && (sides.length > 1 || sides.some((p) => p.from > second.from))) return null;
  // "keys L/R + click, 3 DIs": so many of them that each line has its own.
  const dis = pieces.some(
    (p, k) => p.from > second.from && p.read.is === 'di' && isMany(pieces[k - 1]) && channels === 0
  );
  if (dis && sides.length > 0) return null;
  const between = text.slice(end(first), second.from);
  const joined = (
    channels === 2 ? /^\s*(?:[&+/]|and)\s*$/i : /^\s*(?:[&+]|and|plus)(?:\s+(?:an?|one|his|her|the))?\s*$/i
  ).test(between);
  // "sax clip & trumpet dyn": each says how it is taken.
  const own = channels === 0 ? /^(.*?)\s*(?:[&+]|\band\b|\bplus\b)\s*$/i.exec(between) : null;
  const ofFirst = sides.length > 0 || pieces.some((p) => p.from >= end(first) && p.to <= second.from && isOwn(p));
  if (own && !own[1].includes(',') && ofFirst) {
    // "mandolin (piezo) + fiddle (active) DIs": more than one DI is of both.
    const dis = /\bdi'?s\s*$/i.test(text) && !/\bdi/i.test(own[1]) ? ', DI' : '';
    return {
      halves: [text.slice(0, end(first)) + own[1] + dis + ofEach(text.slice(second.from)), text.slice(second.from)],
      takes: null
    };
  }
  const many = pieces.some(({ read }) => read.is === 'times' || read.is === 'count');
  return joined && !many
    ? { halves: [text.slice(0, end(first)) + text.slice(end(second)), text.slice(second.from)], takes: null }
    : null;
}

/** What is said of one alone, where another comes behind it. */
const isOwn = (p: Piece): boolean => takeOf(p) !== null || ['note', 'quality', 'sides'].includes(p.read.is);

const CALLED: Readonly<Record<Take, string>> = { mic: 'mic', di: 'DI', pickup: 'pickup' };

/** "boundary under the lid + 2 condensers, 11-13": so many by each half that there is a channel for every one. */
function severalIn(
  { halves }: Split,
  pieces: readonly Piece[],
  channels: readonly number[],
  options: Options,
  read: (half: string, options: Options) => TradeReading
): TradeReading | null {
  const readings = halves.map((half) => read(half.replace(CHANNELS_LAST, ''), options));
  const specs = readings.flatMap((r) => r.specs);
  if (specs.length !== channels.length || readings.some((r) => r.specs.length === 0)) return null;
  const named = numbered(specs).map((s, k) => ({ ...s, channel: channels[k] }));
  return { ...together(readings, pieces, named), ignored: readings.flatMap((r) => r.ignored) };
}
/** All of one thing are numbered through. */
function numbered(specs: readonly LineSpec[]): LineSpec[] {
  const base = specs.map((s) => s.name.replace(/\s\d+$/, ''));
  const alike = base.every((name) => name === base[0]);
  return specs.map((s, k) => ({ ...s, name: alike ? cutText(`${base[0]} ${k + 1}`, 80) : s.name }));
}
const CHANNELS_LAST = /[,:\s]+\d{1,3}(?:\s*[-–]\s*\d{1,3}|(?:(?:\s*[,/&+]\s*|\s+)\d{1,3})+)\s*$/;

/** "dynamic mic", or "gtr amp" beside a "gtr". */
const isItsMic = (name: string, other: string): boolean =>
  /^(?:dynamic|condenser) mic$/i.test(name) ||
  (name.toLowerCase().startsWith(`${other.toLowerCase()} `) && /\s(?:amp|cab|cabinet|combo)$/i.test(name));

/** @param read reads a half; @returns null where there are not two takes of one thing */
export function bothOf(
  text: string,
  pieces: readonly Piece[],
  options: Options,
  read: (half: string, options: Options) => TradeReading
): TradeReading | null {
  if (options.channel !== undefined) return null;
  const split = splitOf(text, pieces) ?? twoOf(text, pieces);
  if (!split) return null;
  const channels = channelsSaid(pieces);
  const several = channels.length > 2 ? severalIn(split, pieces, channels, options, read) : null;
  if (several) return several;
  const readings = split.halves.map((half, k) =>
    read(half, { ...options, ...(channels.length > 0 ? { channel: channels[k] ?? channels[0] + k } : {}) })
  );
  const counts = readings.map((r) => r.specs.length);
  // "HH radio + 4 lavs", "tracks L/R + vox": so many of each.
  if (
    channels.length === 0 &&
    (split.takes?.every((t) => t === 'mic') ?? true) &&
    Math.min(...counts) > 0 &&
    Math.max(...counts) > 1
  )
    return {
      ...together(readings, pieces, numbered(readings.flatMap((r) => r.specs))),
      ignored: readings.flatMap((r) => r.ignored)
    };
  if (counts.some((n) => n !== 1)) return null;
  const called = readings.map((r) => r.specs[0].name);
  // What is named by its microphone is what the other is.
  const [first, second] = called.map((name, k) => (isItsMic(name, called[1 - k]) ? called[1 - k] : name));
  const same = first.toLowerCase() === second.toLowerCase();
  const names =
    !split.takes || split.takes[0] === split.takes[1]
      ? [first, same ? `${first} 2` : second]
      : same
        ? split.takes.map((take: Take) => `${first} ${CALLED[take]}`)
        : [first, second];
  const specs = readings.map((r, k) => ({ ...r.specs[0], name: cutText(names[k], 80) }));
  return {
    ...together(readings, pieces, specs),
    ignored: readings
      .flatMap((r) => r.ignored)
      .filter((p) => p.read.is !== 'number' || !channels.slice(0, 2).includes(p.read.value))
  };
}
