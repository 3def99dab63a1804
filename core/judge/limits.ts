import type { LevelClass } from '../gear/types';
import type { Policy } from '../plan/schema';
import type { Severity } from './types';

/** Bounds of one check: the first whose value is reached gives the severity. */
export type Ladder = readonly (readonly [atLeast: number, severity: Severity])[];

/** Room between peak and clip, dB. */
export const HEADROOM: Ladder = [
  [10, 'clean'],
  [3, 'note'],
  [0, 'care'],
  [-Infinity, 'stop']
];

/** Loss of the low notes of a source, dB. */
export const BASS: Ladder = [
  [6, 'stop'],
  [3, 'care'],
  [1, 'note'],
  [-Infinity, 'clean']
];

/**
 * Loss of overtones, dB. Wider than for the notes themselves: the comparison is with no lead at all, and the first
 * metres of any lead already move a pickup's resonance, which players know as its sound.
 */
export const TREBLE: Ladder = [
  [12, 'stop'],
  [5, 'care'],
  [2, 'note'],
  [-Infinity, 'clean']
];

/** Two strings at once, in step: twice the voltage, dB. */
export const DOUBLE_STOP_DB = 6;

/** Ratios between these are what is called matched. */
export const EQUAL: readonly [number, number] = [0.5, 2];

/** A valve amplifier's output with more than so many times its rated load has none. */
export const UNLOADED = 4;

/** How far an input without a trim may be off its working level, dB. */
export const NO_TRIM_DB = 3;

/** A change of level that was meant, dB: less is loss. */
export const STEP_DB = 6;

/** Direct current that an output made for none should not see, amperes. */
export const HARM_AMPERE = 1e-3;

/** A show with its soundcheck, hours: a battery should last longer. */
export const BATTERY_HOURS = 6;

/** Least voltage that an active DI works from, volts. */
export const LEAST_RAIL = 9;

/** Gain that is missing, dB: a fader or a booster makes up for some of it, and no more than that. */
export const MISSING: Ladder = [
  [12, 'stop'],
  [4, 'care'],
  [-Infinity, 'note']
];

/** More gain than this is much for a preamp, dB: a rule of thumb. Whether its noise is heard, the noise itself says. */
export const MUCH_GAIN_DB = 55;

/** How far peaks may stand over the working level, dB: 6 below full scale, which is 18 over it (EBU R 68). What is livelier takes less gain. */
export const PEAK_OVER_WORKING_DB = 12;

/** Gain below a channel's least, dB: a little is taken up by its fader, more wants a pad. */
export const TOO_HOT: Ladder = [
  [0, 'clean'],
  [-5, 'note'],
  [-12, 'care'],
  [-Infinity, 'stop']
];

/** A mono programme that is this far down has cancelled, dB. */
export const CANCELLED_DB = -30;

/** Load over source at which 3 dB are lost, and 9 dB: what is left is r / (1 + r). */
const THREE_DB_LOST = 1 / (10 ** (3 / 20) - 1);
const NINE_DB_LOST = 1 / (10 ** (9 / 20) - 1);

/** A microphone is made for an input of five times its own impedance (IEC 61938). */
const MICROPHONE_RATIO = 5;

/** Bridging ratio: clean from the policy's own, below that by the level that it costs. */
export const bridgingLadder = (policy: Policy, level: LevelClass = 'line'): Ladder => [
  [level === 'microphone' ? Math.min(policy.bridging, MICROPHONE_RATIO) : policy.bridging, 'clean'],
  [THREE_DB_LOST, 'note'],
  [NINE_DB_LOST, 'care'],
  [-Infinity, 'stop']
];

/** Longest unbalanced run by policy and level, metres. */
export function unbalancedLimit(policy: Policy, level: LevelClass): number {
  if (policy.unbalanced === 'strict') return 3;
  if (policy.unbalanced === 'relaxed') return 10;
  return level === 'instrument' ? 6 : 3;
}

/**
 * From where an unbalanced run wants care, metres. What length costs in treble, hum and leakage is computed and told for itself; what is left is
 * the risk of radio, of which no figure can be promised. A rule that somebody has chosen is stricter.
 */
export const unbalancedCare = (policy: Policy, limit: number): number =>
  policy.unbalanced === 'strict' ? limit : policy.unbalanced === 'relaxed' ? 2 * limit : 10;
/** So many times the limit of the strict rule, and it is no matter of care any more. */
export const UNBALANCED_STOP = 4;

/** Couplers in one run from which on they are a risk rather than a remark. */
export const COUPLERS_CARE = 2;

/** The severity of a value on a ladder. */
export function onLadder(ladder: Ladder, value: number): { severity: Severity; limit: number } {
  const at = ladder.findIndex(([bound]) => value >= bound);
  const index = at < 0 ? ladder.length - 1 : at;
  const [bound, severity] = ladder[index];
  // The limit told is the bound that was missed, or the one that was kept when all is well.
  const rising = ladder[0][1] === 'clean';
  const told = rising
    ? index === 0
      ? bound
      : ladder[index - 1][0]
    : Number.isFinite(bound)
      ? bound
      : ladder[index - 1][0];
  return { severity, limit: told };
}
