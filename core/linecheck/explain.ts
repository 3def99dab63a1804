import { resolve } from '../plan/resolved';
import { judgeLine, type LineReport } from '../judge/judge';
import { SolvedRig } from '../judge/solved-rig';
import type { Line } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { playingRange } from './expected';
import { type Content, HUM_BOUNDS } from './hum';
import { normalBelow } from './normal';
import type { ReadValues } from './merge';
import type { Cause } from './cause';
import { type Difference, variantsOf } from './variants';

/** What explains a reading best: every variant of the plan is solved, and weighed by how well it would have read so. */

/** How well a gain is read off a knob, dB, one standard deviation. */
const READ_DB = 2;
/** How well hum is foreseen: fields are known to ten decibels at best. */
const HUM_DB = 10;
/** Ninety in a hundred of a source's spread lie within its least and most: so many standard deviations. */
const SPREAD = 1.645;
/** Something is told wrongly this often. */
const SLIP = 0.03;
/** As coarse as a ranking may be, points an octave. */
const PER_OCTAVE = 3;
/** Nothing comes out of an input that gets less than this, dBu. */
const SILENT_DBU = -90;

/**
 * Causes of a reading, most likely first.
 * @param reading what was read; what is null in it says nothing
 * @param whole the plan, as far as it is solved already
 */
export function explain(
  plan: Plan,
  line: Line,
  reading: Pick<ReadValues, 'gainDb' | 'hum' | 'content'>,
  whole: SolvedRig = new SolvedRig(plan)
): Cause[] {
  const around = whole.around(line);
  const [under, over] = playingRange(plan, line);
  const weighed = variantsOf(plan, line).flatMap((v) => {
    const at = resolve(v.plan).line(v.lineId);
    if (!at) return [];
    const report = judgeLine(v.plan, at, {
      around: v.lineId === line.id ? around : whole.around(at),
      perOctave: PER_OCTAVE
    });
    const content = contentOf(report, v.what);
    const silent = content === 'silent';
    const cause = { what: v.what, gain: silent ? null : report.gain, humBelow: report.hum?.below ?? null, silent };
    return [{ cause, weight: v.prior * likelihood(reading, cause, content, (over - under) / 2 / SPREAD) }];
  });
  const total = weighed.reduce((sum, w) => sum + w.weight, 0);
  return weighed
    .map(({ cause, weight }) => ({ ...cause, share: total > 0 ? weight / total : 0 }))
    .sort((a, b) => b.share - a.share);
}

/** A box without its supply passes next to nothing, and neither does what has cancelled. */
const DEAD: ReadonlySet<string> = new Set([
  'phantom-off',
  'phantom-none',
  'phantom-blocked',
  'plug-in-missing',
  'stereo-cancels'
]);
/** Whether next to nothing comes out of an input. */
export const isSilent = (report: LineReport): boolean =>
  (report.arrives ?? SILENT_DBU) <= SILENT_DBU ||
  report.findings.some((f) => f.severity === 'stop' && DEAD.has(f.code));

/** What comes out of a channel when the source plays so much louder than planned, dB. */
export function contentOf(report: LineReport, what: Difference, louder = 0): Content {
  if (isSilent(report)) return 'silent';
  if (what.code === 'other-source') return 'wrong';
  return (report.room ?? Infinity) - louder < 0 ? 'distorted' : 'right';
}

/** How likely such a reading is under a cause. */
function likelihood(
  { gainDb, hum, content }: Pick<ReadValues, 'gainDb' | 'hum' | 'content'>,
  { gain, humBelow }: Omit<Cause, 'share'>,
  is: Content,
  spread: number
): number {
  let all = 1;
  if (gainDb !== null) {
    const sigma = Math.hypot(READ_DB, spread);
    // Nobody finds a gain for a silent channel.
    all *= gain === null ? SLIP / 20 : (1 - SLIP) * density(gainDb - gain, sigma) + SLIP / 100;
  }
  if (hum !== null && humBelow !== null) {
    const [least, most] = typeof hum === 'number' ? [hum - 3, hum + 3] : HUM_BOUNDS[hum];
    all *= SLIP + (1 - SLIP) * (normalBelow((most - humBelow) / HUM_DB) - normalBelow((least - humBelow) / HUM_DB));
  }
  if (content !== null) all *= content === is ? 1 - SLIP : SLIP;
  return all;
}

const density = (x: number, sigma: number): number =>
  Math.exp(-0.5 * (x / sigma) ** 2) / (sigma * Math.sqrt(2 * Math.PI));
