import type { Rig, Scope } from './builder';
import type { Plan } from '../plan/schema';
import type { Line } from '../plan/lines';
import { modelAt } from '../plan/devices';
import type { Node } from '../solver/network';
import { compileRig, signalNodes } from './compile';
import { System } from '../solver/system';

export interface SolveOptions {
  /** Points an octave; 24 unless told. */
  readonly perOctave?: number;
  /** Computes every point of the grid instead of interpolating where the curve is smooth. */
  readonly exact?: boolean;
  readonly bench?: Bench;
}

/** Where each of these lines is read at its input, by line. */
export const inputsOf = (plan: Plan, rig: Rig, lines: readonly Line[]) =>
  lines.map((line) => [line.id, senseOf(plan, rig, line.cables[line.cables.length - 1])] as const);
/** ln of a ratio, per decibel. */
export const PER_DB = Math.LN10 / 20;
/** Parts of a line's own source: other sources that share its network stay silent. */
export const sourceOf = (line: Line): ((part: string) => boolean) => {
  const own = `${line.devices[0]}/`;
  return (part) => part.startsWith(own);
};

/** Nodes where an input is read: behind its own amplifier's noise where it has one. */
export function senseOf(plan: Plan, rig: Rig, cable: string): readonly [Node, Node] {
  const { to } = plan.cables[cable];
  const own = rig.senses.get(to.device);
  return own?.nodes ?? signalNodes(modelAt(plan, to.device), to.port, rig.ports.get(`${to.device}.${to.port}`)!);
}

/** @throws CircuitError naming the part when the network cannot be solved */
export function benchOf(plan: Plan, scope: Scope): Bench {
  const rig = compileRig(plan, scope, 'held');
  return { rig, system: new System(rig.net) };
}

/** A piece of a plan with its network, compiled once for all that is asked of it. */
export interface Bench {
  readonly rig: Rig;
  readonly system: System;
}

/** One end of a cable: the level there. */
export interface Point {
  readonly device: string;
  readonly port: string;
  /** Signal voltage over the source's EMF, dB, on the grid. */
  readonly gainDb: Float64Array;
  /** Average playing, peak, and the largest undistorted level, dBu. Clip is Infinity where nothing can clip. */
  readonly nominalDbu: number;
  readonly peakDbu: number;
  readonly clipDbu: number;
}
