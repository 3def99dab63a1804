import type { Complex } from '../solver/system';
import { modelOf } from '../gear/catalogue';
import { saturationOf, unfilledTo } from './core-tone';
import { curveOf } from './devices';
import { type MeasuredKind, soughtOf } from './kinds';
import type { Resistors } from './plug';
import { type Fitted, fit } from './fit';
import { GRID, type Heard, ratioAt, SWEEP, sweepSound, takeApart } from './sweep';
import { type Bench, benchOf, impedanceOf } from './two-loads';

/** From what came back to values of a device: one step a patch, in the order in which they are plugged. */

/** What comes back higher than this has clipped, of full scale. */
export const CLIPPED = 0.98;
/** The loop comes back weaker than this: nothing is plugged, dB below what was played. */
const NOTHING_DB = -50;
/** A core's level is told so well: no core is a cubic, and a multimeter is off by a per cent or two. */
const CORE_SPREAD = 0.1;

export interface Measured {
  readonly hz: readonly number[];
  /** Impedance, or of a DI what comes out over what goes in. */
  readonly curve: readonly Complex[];
  /** The class with the values that were found. */
  readonly fitted: readonly Complex[];
  readonly values: readonly {
    readonly param: string;
    readonly value: number;
    readonly spread: number;
    readonly typ: number;
  }[];
  readonly misfit: number;
  readonly inverted: boolean;
  /** Second and third harmonic over the fundamental, dB; of a DI. */
  readonly harmonics: Heard['harmonics'] | null;
  /** Noise of the interface, dB of full scale. */
  readonly noiseDb: number;
  /** Of a DI that was played until its core is full: up to which level nothing of that was heard, volts RMS at 20 Hz; null where it was found, or not looked for. */
  readonly unfilled: number | null;
}

/** What a core did to a tone. */
export interface Filled {
  /** Third over the fundamental, by `CORE_LEVELS`, as many as came back unclipped. */
  readonly thirds: readonly number[];
  /** A full-scale sine at the interface's output, volts RMS. */
  readonly full: number;
}

export type Trouble = 'nothing' | 'clipped';

/** What one sweep brought back, or why it cannot be used. @param level that it was played at @param faint next to nothing is what one hopes for */
export function hearSweep(recorded: Float32Array, level: number, faint = false): Heard | Trouble {
  const heard = takeApart(recorded, SWEEP, level);
  if (heard.peak >= CLIPPED) return 'clipped';
  if (!faint && 20 * Math.log10(heard.peak / level) < NOTHING_DB) return 'nothing';
  return heard;
}

/**
 * @param heard what came back from each patch, in the order of `patchesFor`
 * @param metres of a cable @param filled of a DI, where that was looked for
 */
export function measured(
  kind: MeasuredKind,
  model: string,
  heard: readonly Heard[],
  resistors: Resistors,
  metres = 1,
  filled: Filled | null = null
): Measured {
  const [loop] = heard;
  const hz = GRID.filter((f) => kind !== 'di' || f <= 18_000);
  const sought = soughtOf(kind, model);
  const start = sought.map((s) => s.typ);
  const named = (values: readonly number[]): Record<string, number> =>
    Object.fromEntries(sought.map((s, k) => [s.param, values[k]]));
  const of = (values: readonly number[]): readonly Complex[] => curveOf(kind, model, named(values), hz, metres);
  let curve: readonly Complex[];
  let inverted = false;
  if (kind === 'di') {
    const over = ratioAt(heard[1], loop, hz);
    inverted = heard[1].sign !== loop.sign;
    curve = inverted ? over.map(([re, im]) => [-re, -im] as const) : over;
  } else {
    const [loaded, open, across] = heard.slice(1).map((h) => ratioAt(h, loop, hz));
    const bench: Bench = benchOf(hz, open, loaded, resistors.series, resistors.load);
    curve = impedanceOf(bench, across);
  }
  const found: Fitted = fit(curve, of, start);
  // Of a core peak and RMS are one as the other: both volts and full scale are a sine's.
  const core = filled && saturationOf(filled.thirds, filled.full);
  const values = sought.map(({ param, typ }, k) => ({ param, typ, value: found.values[k], spread: found.spread[k] }));
  if (core !== null)
    values.push({ param: 'saturation', typ: modelOf(model).params.saturation.typ, value: core, spread: CORE_SPREAD });
  return {
    ...{ hz, curve, fitted: of(found.values), misfit: found.misfit, inverted, values },
    harmonics: kind === 'di' ? heard[1].harmonics : null,
    noiseDb: 20 * Math.log10(loop.noise),
    unfilled: filled && core === null ? unfilledTo(filled.thirds.length, filled.full) : null
  };
}

/** The sweep as it is played. */
export const stimulus = (level: number): Float32Array => sweepSound(SWEEP, level);
