import { resolve } from '../plan/resolved';
import { judgeLine, judgeWhole, type LineReport } from '../judge/judge';
import { type Pair, pairsOf } from '../judge/pairs';
import { mulberry32 } from '../judge/tolerance';
import { SolvedRig } from '../judge/solved-rig';
import { isComplete, type Line } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { expectedOf, peakAt, playingRange } from './expected';
import { contentOf } from './explain';
import { HUM_WORDS, humWord, type Meter } from './hum';
import { normalDraw } from './normal';
import { expectedPair } from './pair';
import type { PairReading } from './pair-reading';
import type { ReadValues } from './merge';
import { type Difference, type Silence, type Variant, variantsOf } from './variants';

/** A stand-in venue: the plan with hidden differences, drawn from a seed, that answers readings as a desk would. */

export interface VenueLine {
  readonly lineId: string;
  /** What is otherwise here; hidden from whoever checks the line. */
  readonly hidden: Difference;
  /** What is read off it, the same every time. */
  readonly reading: Pick<ReadValues, 'gainDb' | 'hum' | 'content'> & Partial<Pick<ReadValues, 'peakDb' | 'pair'>>;
  /** Of a channel out of which nothing comes: what the meter of its input does. */
  readonly meter: Meter | null;
}

/** Lines with something wrong, of all. */
const WRONG = 0.35;
/** How far what is heard is off what is foreseen, dB, one standard deviation. */
const READ_DB = 1;
const HUM_DB = 5;
/** How far a gain stands too high, dB. */
const TOO_HIGH_DB = 14;

/** The venue of a seed. The same plan and seed always give the same one. */
export function venueOf(plan: Plan, seed: number): VenueLine[] {
  const whole = new SolvedRig(plan);
  const lines = resolve(plan).lines.filter((line) => isComplete(plan, line));
  const met = lines.map((line, k) => venueLine(plan, line, whole, mulberry32(seed * 1009 + k)));
  const reports = new Map(judgeWhole(whole).map((r) => [r.id, r]));
  const pairs = pairsOf(plan, lines, reports);
  return met.map((m): VenueLine => {
    const peakDb = m.reading.gainDb === null ? null : workingPeak(plan, m, reports);
    // Nothing stands over full scale.
    const high = m.hidden.code === 'gain-high' && peakDb !== null ? Math.min(peakDb + TOO_HIGH_DB, 0) : peakDb;
    const pair = pairs.find((p) => p.lines.includes(m.lineId));
    return { ...m, reading: { ...m.reading, peakDb: high, pair: pair ? together(pair, met) : null } };
  });
}

/** The gain was found by the working level, so the loudest peak stands over it by what the planned source's does, dBFS. */
function workingPeak(plan: Plan, { lineId }: VenueLine, reports: ReadonlyMap<string, LineReport>): number | null {
  const expected = expectedOf(plan, resolve(plan).line(lineId)!, reports.get(lineId)!);
  const peak = expected.gain && peakAt(expected, expected.gain.usual);
  return peak === null ? null : Math.round(peak);
}

/** What two sides do together, whichever of them has something hidden. */
function together(pair: Pair, met: readonly VenueLine[]): PairReading {
  const sides = met.filter((m) => pair.lines.includes(m.lineId));
  const expected = expectedPair(pair);
  if (sides.some((m) => m.reading.content === 'silent')) return { sides: 'one', mono: 'holds' };
  return sides.some((m) => m.hidden.code === 'other-source' && m.hidden.pair)
    ? { ...expected, sides: 'swapped' }
    : expected;
}

function venueLine(plan: Plan, line: Line, whole: SolvedRig, random: () => number): VenueLine {
  const [planned, ...others] = variantsOf(plan, line);
  const total = others.reduce((sum, v) => sum + v.prior, 0);
  let at = random() < WRONG ? random() * total : Infinity;
  const variant = others.find((v) => (at -= v.prior) < 0) ?? planned;
  if (variant.silent) return silentLine(plan, line, variant, variant.silent, whole, random);
  const read = resolve(variant.plan).line(variant.lineId)!;
  const around = whole.around(read);
  const report = judgeLine(variant.plan, read, { around });
  const [under, over] = playingRange(plan, line);
  // How loud the player is today: within the spread, the middle more often.
  const today = ((random() + random()) / 2) * (over - under) + under;
  const hum = report.hum ? humWord(report.hum.below + today + HUM_DB * normalDraw(random)) : null;
  const content = contentOf(report, variant.what, today);
  const gain =
    content === 'silent' || report.gain === null
      ? null
      : Math.round(report.gain - today + READ_DB * normalDraw(random)) + (variant.overdriven ? TOO_HIGH_DB : 0);
  return {
    lineId: line.id,
    hidden: variant.what,
    reading: { gainDb: gain, hum, content },
    meter: content === 'silent' ? 'still' : null
  };
}

/** A channel out of which nothing comes: hum as an open or a muted one has it, where it is not as planned. */
function silentLine(
  plan: Plan,
  line: Line,
  { what }: Variant,
  silent: Silence,
  whole: SolvedRig,
  random: () => number
): VenueLine {
  const below = judgeLine(plan, line, { around: whole.around(line) }).hum?.below;
  const planned = below === undefined ? null : humWord(below + HUM_DB * normalDraw(random));
  const at = random();
  const drawn =
    silent.hum && HUM_WORDS[silent.hum.findIndex((_, k, all) => at < all.slice(0, k + 1).reduce((a, b) => a + b))];
  return {
    lineId: line.id,
    hidden: what,
    reading: { gainDb: null, hum: silent.hum ? (drawn ?? 'none') : planned, content: 'silent' },
    meter: random() < silent.meter ? 'moves' : 'still'
  };
}
