import type { MeasuredKind } from '$core/measure/kinds';
import { coreTone, thirdOf } from '$core/measure/core-tone';
import { type InterfaceFound, interfaceFrom } from '$core/measure/interface';
import { knownTone } from '$core/measure/known';
import { CLIPPED, hearSweep, type Measured, measured, stimulus, type Trouble } from '$core/measure/measure';
import { MEASURING, QUIET, type Resistors } from '$core/measure/plug';
import { type Patch } from '$core/measure/plug';
import { type Hidden, StandIn } from '$core/measure/stand-in';
import { averaged, type Heard, SWEEP } from '$core/measure/sweep';
import { expose, transfer } from 'comlink';

/** What came back is taken apart, and values are looked for, beside the page. The simulated interface lives here, too. */

/** What came back of one sweep: how high, of full scale, or why it cannot be used. */
export interface Came {
  readonly trouble: Trouble | null;
  readonly peak: number;
}

let standIn: StandIn | null = null;
let kept: Heard[] = [];
let thirds: number[] = [];

const api = {
  begin(): void {
    kept = [];
    thirds = [];
  },
  simulate(seed: number, kind: MeasuredKind, model: string): Pick<Hidden, 'metres' | 'values'> {
    if (standIn?.hidden.kind !== kind || standIn.hidden.model !== model || standIn.seed !== seed)
      standIn = new StandIn(seed, kind, model);
    const { metres, values, saturation } = standIn.hidden;
    return { metres, values: saturation === null ? values : { ...values, saturation } };
  },
  /** What a multimeter at the simulated output reads, volts RMS. */
  multimeter: (level: number): number => standIn?.multimeter(level) ?? 0,
  /** What the simulated interface gives back. */
  playSimulated(samples: Float32Array, patch: Patch): Float32Array {
    const back = standIn!.play(samples, patch);
    return transfer(back, [back.buffer]);
  },
  stimulus(level: number): Float32Array {
    const samples = stimulus(level);
    return transfer(samples, [samples.buffer]);
  },
  tone(level: number): Float32Array {
    const samples = knownTone(level, SWEEP.rate);
    return transfer(samples, [samples.buffer]);
  },
  core(level: number): Float32Array {
    const samples = coreTone(level, SWEEP.rate);
    return transfer(samples, [samples.buffer]);
  },
  /** Keeps what a low tone became. @returns whether it may be played louder */
  hearCore(recorded: Float32Array): Came {
    const peak = recorded.reduce((most, v) => Math.max(most, Math.abs(v)), 0);
    if (peak >= CLIPPED) return { trouble: thirds.length > 1 ? null : 'clipped', peak: 1 };
    thirds.push(thirdOf(recorded, SWEEP.rate));
    return { trouble: null, peak };
  },
  /** Keeps what one way of plugging brought back; a quiet one is only looked at. @param at which of the ways */
  hear(recordings: readonly Float32Array[], quiet: boolean, at: number, faint: boolean): Came {
    const heard = hearSweep(averaged(recordings), quiet ? QUIET : MEASURING, faint);
    if (typeof heard === 'string') return { trouble: heard, peak: 0 };
    if (!quiet) kept = [...kept.slice(0, at), heard];
    return { trouble: null, peak: heard.peak };
  },
  result: (kind: MeasuredKind, model: string, resistors: Resistors, metres: number, full: number | null): Measured =>
    measured(
      kind,
      model,
      kept,
      resistors,
      metres,
      full !== null && thirds.length > 0 ? { thirds: [...thirds], full } : null
    ),
  interfaceResult: (resistors: Resistors, full: number | null): InterfaceFound => interfaceFrom(kept, resistors, full)
};
export type MeasureApi = typeof api;
expose(api);
