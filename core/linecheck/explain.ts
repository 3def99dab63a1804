import { resolve } from '../plan/resolved';
import { judgeLine, type LineReport } from '../judge/judge';
import { SolvedRig } from '../judge/solved-rig';
import type { Line } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { PEAK_MOST_DBFS, playingRange } from './expected';
import { type Content, HUM_BOUNDS, HUM_WORDS, humWord, type Meter } from './hum';
import { normalBelow } from './normal';
import type { ReadValues } from './merge';
import type { Cause } from './cause';
import { type Difference, type Silence, variantsOf } from './variants';

/** What explains a reading best: every variant of the plan is solved, and weighed by how well it would have read so. */

/** How well a gain is read off a knob, dB, one standard deviation. */
const READ_DB = 2;
/** How well hum is foreseen: fields are known to ten decibels at best. */
const HUM_DB = 10;
/** Ninety in a hundred of a source's spread lie within its least and most: so many standard deviations. */
const SPREAD = 1.645;
/** Something is told wrongly this often. */
const SLIP = 0.03;
/** Silence is hardly ever taken for sound, or sound for silence. */
const DEAF = 0.004;
/** As coarse as a ranking may be, points an octave. */
const PER_OCTAVE = 3;
/** Nothing comes out of an input that gets less than this, dBu. */
const SILENT_DBU = -90;

/** What is read off a channel; the meter of its input, where nothing comes out of it. */
export type Asked = Pick<ReadValues, 'gainDb' | 'hum' | 'content'> &
  Partial<Pick<ReadValues, 'peakDb'>> & { readonly meter?: Meter | null };

/**
 * Causes of a reading, most likely first.
 * @param reading what was read; what is null in it says nothing
 * @param whole the plan, as far as it is solved already
 */
export function explain(plan: Plan, line: Line, reading: Asked, whole: SolvedRig = new SolvedRig(plan)): Cause[] {
  const around = whole.around(line);
  const [under, over] = playingRange(plan, line);
  // The plan as it is comes first of them.
  let planned: number | null = null;
  const weighed = variantsOf(plan, line).flatMap((v) => {
    if (v.silent) {
      const cause = { what: v.what, gain: null, humBelow: null, silent: true };
      return [{ cause, weight: v.prior * silenceLikelihood(reading, v.silent, planned) }];
    }
    if (v.overdriven) {
      const cause = { what: v.what, gain: null, humBelow: planned, silent: false };
      return [{ cause, weight: v.prior * overdrivenLikelihood(reading, planned) }];
    }
    const at = resolve(v.plan).line(v.lineId);
    if (!at) return [];
    const report = judgeLine(v.plan, at, {
      around: v.lineId === line.id ? around : whole.around(at),
      perOctave: PER_OCTAVE
    });
    if (v.what.code === 'as-planned') planned = report.hum?.below ?? null;
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
  if (what.code === 'gain-high') return 'distorted';
  return (report.room ?? Infinity) - louder < 0 ? 'distorted' : 'right';
}

/** How likely such a reading is of a channel out of which nothing comes. @param humBelow hum as planned, under the playing, dB */
function silenceLikelihood({ gainDb, hum, content, meter }: Asked, silent: Silence, humBelow: number | null): number {
  let all = gainDb === null ? 1 : SLIP / 20;
  if (hum !== null && silent.hum) {
    const word = typeof hum === 'number' ? humWord(hum) : hum;
    all *= silent.hum[HUM_WORDS.indexOf(word)];
  } else if (hum !== null && humBelow !== null) all *= humLikelihood(hum, humBelow);
  if (content !== null) all *= contentLikelihood(content, 'silent');
  if (meter) all *= meter === 'moves' ? silent.meter : 1 - silent.meter;
  return all;
}

/** A meter at the top is what a preamp that is turned up too far shows, and hardly anything else. */
const AT_THE_TOP = { overdriven: 0.9, other: 0.15 } as const;
/** How likely such a reading is of a preamp that clips by its own gain. That somebody chose that gain says nothing of the line. */
function overdrivenLikelihood({ hum, content, meter, peakDb }: Asked, humBelow: number | null): number {
  let all = topLikelihood(peakDb, AT_THE_TOP.overdriven);
  if (hum !== null && humBelow !== null) all *= humLikelihood(hum, humBelow);
  // Unless it is heard, nobody looks for it.
  all *= content === 'distorted' ? 1 - SLIP : SLIP;
  return meter ? all * (meter === 'moves' ? 1 - SLIP : SLIP) : all;
}
const topLikelihood = (peakDb: number | null | undefined, top: number): number =>
  peakDb === null || peakDb === undefined ? 1 : peakDb > PEAK_MOST_DBFS ? top : 1 - top;

function contentLikelihood(told: Content, is: Content): number {
  if (told === is) return 1 - SLIP;
  return told === 'silent' || is === 'silent' ? DEAF : SLIP;
}

function humLikelihood(hum: NonNullable<ReadValues['hum']>, humBelow: number): number {
  const [least, most] = typeof hum === 'number' ? [hum - 3, hum + 3] : HUM_BOUNDS[hum];
  return SLIP + (1 - SLIP) * (normalBelow((most - humBelow) / HUM_DB) - normalBelow((least - humBelow) / HUM_DB));
}

/** How likely such a reading is under a cause. */
function likelihood(
  { gainDb, hum, content, meter, peakDb }: Asked,
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
  if (hum !== null && humBelow !== null) all *= humLikelihood(hum, humBelow);
  // A meter is looked at where nothing comes: it moves when something arrives.
  if (meter) all *= (meter === 'moves') === (is !== 'silent') ? 1 - SLIP : SLIP;
  if (content !== null) all *= contentLikelihood(content, is);
  // How hot a meter stands tells one distortion from another; where it sounds right it is a gain that was chosen.
  if (content === 'distorted') all *= topLikelihood(peakDb, AT_THE_TOP.other);
  return all;
}

const density = (x: number, sigma: number): number =>
  Math.exp(-0.5 * (x / sigma) ** 2) / (sigma * Math.sqrt(2 * Math.PI));
