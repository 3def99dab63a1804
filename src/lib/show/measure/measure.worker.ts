import type { MeasuredKind } from '$core/measure/kinds';
import { hearSweep, type Measured, measured, stimulus, type Trouble } from '$core/measure/measure';
import { MEASURING, QUIET, type Resistors } from '$core/measure/plug';
import { type Patch } from '$core/measure/plug';
import { type Hidden, StandIn } from '$core/measure/stand-in';
import type { Heard } from '$core/measure/sweep';
import { expose, transfer } from 'comlink';

/** What came back is taken apart, and values are looked for, beside the page. The simulated interface lives here, too. */

/** What came back of one sweep: how high, of full scale, or why it cannot be used. */
export interface Came {
  readonly trouble: Trouble | null;
  readonly peak: number;
}

let standIn: StandIn | null = null;
let kept: Heard[] = [];

const api = {
  begin(): void {
    kept = [];
  },
  simulate(seed: number, kind: MeasuredKind, model: string): Pick<Hidden, 'metres' | 'values'> {
    standIn = new StandIn(seed, kind, model);
    const { metres, values } = standIn.hidden;
    return { metres, values };
  },
  /** What the simulated interface gives back. */
  playSimulated(samples: Float32Array, patch: Patch): Float32Array {
    const back = standIn!.play(samples, patch);
    return transfer(back, [back.buffer]);
  },
  stimulus(level: number): Float32Array {
    const samples = stimulus(level);
    return transfer(samples, [samples.buffer]);
  },
  /** Keeps what one way of plugging brought back; a quiet one is only looked at. @param at which of the ways */
  hear(recorded: Float32Array, quiet: boolean, at: number): Came {
    const heard = hearSweep(recorded, quiet ? QUIET : MEASURING);
    if (typeof heard === 'string') return { trouble: heard, peak: 0 };
    if (!quiet) kept = [...kept.slice(0, at), heard];
    return { trouble: null, peak: heard.peak };
  },
  result: (kind: MeasuredKind, model: string, resistors: Resistors, metres: number): Measured =>
    measured(kind, model, kept, resistors, metres)
};
export type MeasureApi = typeof api;
expose(api);
