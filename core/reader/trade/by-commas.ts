import { areUnlike, type Part, taken } from './each-taken';
import { ARROW, inBrackets, isRig, plays, sharedFrom, TELLS_WHICH, WAYS } from './parts-of-text';
import type { Piece } from './pieces';
import type { One } from './several';
import { channelsSaid, howMany, isMany } from './sides';

/** Between commas, each thing with all that is said of it: "acoustic guitar DI + mic, vox", "vox dyn, playback L/R 12/13". */

const OF_NOBODY: ReadonlySet<string> = new Set(['unknown', 'filler', 'input', 'number', 'channel', 'note']);
const TALK = /\b(?:sings?|plays?|if|you|we|they|have|has|needs?|wants?|can|could)\b/i;
/** Words of a name at most. */
const MOST_UNKNOWN = 2;
const isUnknown = ({ read }: Piece): boolean => read.is === 'unknown';
const unknown = ({ pieces }: Segment): number => pieces.filter(isUnknown).length;

interface Segment {
  readonly text: string;
  readonly pieces: readonly Piece[];
  /** What is played in it; null where it only says more of the one before. */
  readonly part: Part | null;
}

/**
 * What was typed, by what is played between its commas; null where that is one thing, or they are not as many as the channels.
 * @param count how many lines a text by itself makes
 * @param unlike only where one of them makes several lines, which no list of single things has
 */
export function byCommas(
  text: string,
  pieces: readonly Piece[],
  count: (text: string) => number,
  unlike: boolean
): One[] | null {
  // "house band: kit, bass DI, vox", "8 way snake: kick, keys L/R": what stands before the colon is nobody's.
  if (pieces.some((p) => p.named && !OF_NOBODY.has(p.read.is))) return null;
  if (ARROW.test(text) || pieces.some((p, k) => !p.named && isWay(p, pieces[k + 1]))) return null;
  const heads = joinedUp(
    segmentsOf(
      text,
      pieces.filter((p) => !p.named)
    )
  );
  if (!heads || heads.length < 2) return null;
  // "the keys player sings too so 4 if you have them" tells of people, and no line.
  if (heads.some((one) => TALK.test(one.text) || unknown(one) > MOST_UNKNOWN)) return null;
  if (!areUnlike(heads.map(({ part }) => part!))) return null;
  const channels = channelsSaid(pieces);
  const bare = heads.map((one) => (channels.length > 0 ? withoutChannels(one, channels) : one.text));
  const counts = bare.map(count);
  if (counts.includes(0) || (unlike && counts.every((n) => n === 1))) return null;
  if (channels.length === 0) return bare.map((one) => ({ text: one, channels: [] }));
  const all = counts.reduce((a, b) => a + b, 0);
  // "vox dyn, playback L/R 12/13": only the last has channels, and as many as it needs.
  const from = all === channels.length ? 0 : counts[counts.length - 1] === channels.length ? heads.length - 1 : -1;
  if (from < 0) return null;
  let at = 0;
  return bare.map((one, k) => ({ text: one, channels: k < from ? [] : channels.slice(at, (at += counts[k])) }));
}

function segmentsOf(text: string, pieces: readonly Piece[]): Segment[] {
  const start = pieces[0]?.from ?? 0;
  const ends = [...text.matchAll(/\s*[,;]\s*/g)].filter(
    ({ index, 0: comma }) =>
      index >= start &&
      !pieces.some((p) => p.from <= index && p.to >= index + comma.length) &&
      !inBrackets(text, { ...pieces[0], from: index })
  );
  const cuts = [
    { from: start, to: start },
    ...ends.map(({ index, 0: comma }) => ({ from: index, to: index + comma.length })),
    { from: text.length, to: text.length }
  ];
  return cuts.slice(1).flatMap(({ from: to }, k) => {
    const from = cuts[k].to;
    const here = pieces.filter((p) => p.from >= from && p.to <= to);
    return here.length > 0 ? [{ text: text.slice(from, to), pieces: here, part: partOf(here) }] : [];
  });
}

/** The first that is played in it, and how. */
function partOf(here: readonly Piece[]): Part | null {
  // A click is played back along with the tracks; "electric" by itself tells which violin.
  const alone = here.length === 1 && (/^cl(?:ic)?k$/i.test(here[0].text) || TELLS_WHICH.test(here[0].text));
  if (alone || here.some(({ read, text }) => read.is === 'source' && PROCESSOR.test(text))) return null;
  const named = here.filter((p) => !WHOLE_KIT.test(p.text) || isCounted(here));
  const part = taken(named);
  // "agogo DI": a word that nobody knows plays, where a DI behind it takes it.
  const player = named.find(plays) ?? part.player ?? (part.by === 'di' ? named.slice(0, 1).find(isUnknown) : undefined);
  return player && (!goesOn(player) || isCounted(here)) ? { ...part, player } : null;
}
/** It says how what stands before it goes on: a receiver, a preamp, a module. */
const goesOn = ({ read, text }: Piece): boolean =>
  (read.is === 'source' && GOES_ON.has(read.model)) || /^modules?$|\b(?:piezo|pick ?up)s?$/i.test(text);
const GOES_ON: ReadonlySet<string> = new Set(['wireless-receiver', 'acoustic-preamp', 'modeller', 'interface-out']);
const PROCESSOR = /comp(?:ressor)?\b|limiter|\beq\b|rack|gate|mixer main/i;
const WHOLE_KIT = /^(?:drums?|(?:drum )?kit)$/i;

/** A length, an input, a box: then it is one way of one thing. An amplifier's microphone is none. */
const isWay = (p: Piece, next: Piece | undefined): boolean =>
  WAYS.has(p.read.is) && !isRig(p) && !(p.read.is === 'amp' && next !== undefined && /^mics?$/i.test(next.text));

/** Each with what is said behind it in segments of their own; null where something is said of all, or of none. */
function joinedUp(segments: readonly Segment[]): Segment[] | null {
  const heads: Segment[] = [];
  for (const one of segments) {
    const behind = sharedFrom(one.pieces);
    // "2 handhelds" are two, "keys, vox, both DIs" is of all.
    const ofItself = one.part !== null && behind > 0 && howMany(one.pieces[behind - 1]) > 1;
    if (heads.length > 0 && behind >= 0 && !ofItself) return null;
    const last = heads.at(-1);
    if (one.part) heads.push(one);
    else if (!last) return null;
    else
      heads[heads.length - 1] = { ...last, text: `${last.text}, ${one.text}`, pieces: [...last.pieces, ...one.pieces] };
  }
  return heads;
}
/** "2 vox", "3 clips": its own number tells why it is in the plural. */
const isCounted = (here: readonly Piece[]): boolean => here.some(isMany);

/** What was typed of one, without the channels of all. */
function withoutChannels(one: Segment, channels: readonly number[]): string {
  const at = one.pieces.findIndex(
    ({ read }) =>
      (read.is === 'channels' && read.list.join() === channels.join()) ||
      (read.is === 'number' && read.value === channels[0])
  );
  if (at < 0) return one.text;
  const begins = one.pieces[at - 1]?.read.is === 'channel' ? at - 1 : at;
  const start = one.pieces[0].from;
  return one.text.slice(0, one.pieces[begins].from - start).replace(/[\s,]+$/, '');
}
