import { type Expected, gainToWorking } from '$core/linecheck/expected';
import { HUM_WORDS, humWord } from '$core/linecheck/hum';
import { pairOff } from '$core/linecheck/pair';
import type { PairReading } from '$core/linecheck/pair-reading';
import { leftAs } from '$core/linecheck/outcome';
import type { MergedReading, ReadValues } from '$core/linecheck/merge';
import type { Line } from '$core/plan/lines';
import type { Plan } from '$core/plan/schema';

/** How a line stands in the check, and in which order lines are gone through. */

export type Standing = 'open' | 'right' | 'off' | 'unread' | 'later' | 'faulty' | 'started';
/** Standings of lines that nobody has to come back to. */
export const FINISHED: ReadonlySet<Standing> = new Set(['right', 'off', 'unread']);
export type Order = 'channel' | 'place' | 'open';

/** How a line's standing is painted; its name is always beside it. */
export const STANDING_COLOURS: Readonly<Record<Standing, string>> = {
  open: 'bg-base-300',
  started: 'bg-info',
  later: 'bg-info',
  unread: 'border border-primary',
  off: 'bg-warning',
  faulty: 'bg-error',
  right: 'bg-primary'
};

/** A gain read off a knob is right to this much, dB. */
const READ_DB = 2;

/** Gain beyond what is expected, dB; 0 within it, or where one of them is not known. */
export function gainOff(expected: Expected, gainDb: number | null): number {
  if (gainDb === null || !expected.gain) return 0;
  const { from, to } = expected.gain;
  return gainDb > to + READ_DB ? gainDb - to : gainDb < from - READ_DB ? gainDb - from : 0;
}

/** Whether hum is louder than foreseen by more than one word. */
export function humOff(expected: Expected, hum: ReadValues['hum']): boolean {
  if (hum === null || expected.humBelow === null) return false;
  const word = typeof hum === 'number' ? humWord(hum) : hum;
  return HUM_WORDS.indexOf(word) > HUM_WORDS.indexOf(humWord(expected.humBelow));
}

/** Whether a reading is other than planned. */
export const isOff = (expected: Expected, r: Pick<ReadValues, 'gainDb' | 'peakDb' | 'hum' | 'content'>): boolean =>
  gainOff(expected, gainToWorking(expected, r)) !== 0 ||
  humOff(expected, r.hum) ||
  (r.content !== null && r.content !== 'right');

/** @param pair what the two sides of its pair should do, where it is one of two */
export function standingOf(
  expected: Expected,
  reading: (Pick<MergedReading, 'done'> & ReadValues) | undefined,
  pair?: PairReading
): Standing {
  if (!reading) return 'open';
  const left = leftAs(reading);
  if (left !== 'works') return left;
  return isOff(expected, reading) || (pair && pairOff(pair, reading.pair)) ? 'off' : 'right';
}

/** What is left to do first, and what is wrong before what has not been looked at. */
const LEFT_FIRST: readonly Standing[] = ['faulty', 'later', 'open', 'started', 'unread', 'off', 'right'];

/** Lines in the order of the check. @param place where a line stands */
export function orderOf(
  lines: readonly Line[],
  order: Order,
  place: (line: Line) => string,
  standing: (line: Line) => Standing
): Line[] {
  if (order === 'channel') return [...lines];
  const rank = (line: Line): string =>
    order === 'place' ? place(line) : LEFT_FIRST.indexOf(standing(line)).toString();
  return [...lines].sort((a, b) => (rank(a) < rank(b) ? -1 : rank(a) > rank(b) ? 1 : 0));
}

/** Complete lines only: the others have nothing to read. */
export const checkable = (
  plan: Plan,
  lines: readonly Line[],
  judged: ReadonlyMap<string, { gain: number | null }>
): Line[] => lines.filter((l) => l.devices.length > 1 && plan.devices[l.id] && judged.has(l.id));
