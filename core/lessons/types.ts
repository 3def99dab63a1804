// Lessons: one idea each, on a line that is solved while its values are turned. Knows no screen and no wording.
import type { SoundId } from '../hear/sounds';
import type { LineReport } from '../judge/judge';
import type { Line } from '../plan/lines';
import type { Plan } from '../plan/schema';
import type { LineSolution } from '../rig/solve';
import type { Kind } from '../units/quantity';

export const LESSON_IDS = [
  'bridging',
  'pickups',
  'piezo',
  'scales',
  'balance',
  'transformer',
  'active-passive',
  'phantom',
  'ground-loop',
  'earth',
  'pads',
  'long-runs',
  'noise',
  'stereo-mono',
  're-amping',
  'fair-listening'
] as const;
export type LessonId = (typeof LESSON_IDS)[number];

export type KnobId =
  | 'load'
  | 'source'
  | 'lead'
  | 'run'
  | 'level'
  | 'imbalance'
  | 'turns'
  | 'draw'
  | 'supply'
  | 'emf'
  | 'lift'
  | 'pad'
  | 'own-noise'
  | 'input-noise'
  | 'pot'
  | 'trials'
  | 'right';

/** What may be turned. A slider runs from `low` to `high`, by ratio where `log`; a switch has choices. */
export interface Knob {
  readonly id: KnobId;
  readonly quantity: Kind | 'count' | 'none';
  readonly low: number;
  readonly high: number;
  readonly log: boolean;
  readonly choices: readonly string[] | null;
  /** Where it stands on a line; null where the line has no such thing. */
  readonly on: (plan: Plan, line: Line) => Turnable | null;
}
interface Turnable {
  readonly value: number | string;
  /** It is not what the source is plugged into, but what stands behind that. */
  readonly behind?: true;
  readonly put: (plan: Plan, value: number | string) => Plan;
}

/** A line as a lesson reads it. */
export interface At {
  readonly plan: Plan;
  readonly line: Line;
  readonly report: LineReport;
  readonly solution: LineSolution;
}

export type Measure = 'dB' | 'dBu' | 'Hz' | 'Ω' | 'V';
/** A number that went into a formula, or came out of one. `kind` tells how it is written. */
export interface Figure {
  readonly name: FigureName;
  readonly kind: Kind | 'dB' | 'dBu' | 'volts' | 'ratio' | 'hertz' | 'ampere';
  readonly value: number;
}
export type FigureName =
  | 'source'
  | 'load'
  | 'inductance'
  | 'capacitance'
  | 'turns'
  | 'input'
  | 'emf'
  | 'reference'
  | 'peak'
  | 'clip'
  | 'volts'
  | 'corner'
  | 'first'
  | 'second'
  | 'rest'
  | 'imbalance'
  | 'draw'
  | 'feed'
  | 'out'
  | 'pot'
  | 'dbu'
  | 'dbv'
  | 'dbfs'
  | 'hum'
  | 'below'
  | 'headroom'
  | 'snr'
  | 'gain'
  | 'arrives'
  | 'sees'
  | 'quality';

/** The formula of a lesson with its numbers in it. */
export interface ByHand {
  readonly inputs: readonly Figure[];
  /** In the unit of what the lesson reads. */
  readonly result: number;
}

export interface LineLesson {
  readonly id: Exclude<LessonId, 'fair-listening'>;
  /** The made line in words, on the casebook's two supplies; or several ways of doing one thing, of which one is chosen. */
  readonly ways: readonly string[];
  readonly knobs: readonly Knob[];
  /** Whether what it says holds on a line of somebody's own; of all that have its knob where it is left out. */
  readonly fits?: (at: At) => boolean;
  /** What is drawn: its response, what it reads over the whole way of a knob, or nothing but what each of its ways comes to. */
  readonly draws: 'response' | 'ways' | KnobId;
  readonly measure: Measure;
  /** What the lesson is about, read off the solved network; NaN where there is none. */
  readonly reads: (at: At) => number;
  /** The same by a formula that fits in one line; null where there is none, or where it does not hold. */
  readonly byHand: ((at: At) => ByHand | null) | null;
  /** The formula is no further from the network over the knobs' ways: in the unit that is read, of ohms and hertz a share. */
  readonly within: number;
  /** More that is told beside it. */
  readonly figures: (at: At) => readonly Figure[];
  /** What it is heard with, and whether hum and hiss come along; null where there is nothing to hear. */
  readonly sound: { readonly id: SoundId; readonly noises: boolean } | null;
  /** Ways to choose from at the end, in words. The judge tells which is right. */
  readonly question: readonly string[];
}
