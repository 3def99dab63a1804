import { modelAt } from '../plan/devices';
import { type Complex, divide, magnitude, minus, type Solution, type System } from '../solver/system';
import type { Node } from '../solver/network';

import type { Plan } from '../plan/schema';
import { toDb } from '../units/quantity';
import type { Entry, Rig } from './builder';
import { signalNodes } from './compile';

/** Where the signal of one cable is read. */
export interface Probe {
  readonly near: readonly [Node, Node];
  readonly far: readonly [Node, Node];
  /** Where a test current is put in to read both impedances; null behind a joint. */
  readonly inject: { a: Node; b: Node; into: readonly Entry[] } | null;
}

export function probe(plan: Plan, rig: Rig, cable: string): Probe {
  const { from, to } = plan.cables[cable];
  const near = modelAt(plan, from.device);
  const far = modelAt(plan, to.device);
  const nearNodes = rig.ports.get(`${from.device}.${from.port}`)!;
  const pair = signalNodes(near, from.port, nearNodes);
  return {
    near: pair,
    far: signalNodes(far, to.port, rig.ports.get(`${to.device}.${to.port}`)!),
    inject: near.family === 'joint' ? null : { a: nearNodes.hot, b: pair[1], into: rig.entries.get(cable)! }
  };
}

/** Curves that one cable is read as, in order. */
export const CURVES = 4;
const NEAR = 0;
const FAR = 1;
const ZIN = 2;
const ZOUT = 3;
export const curve = { near: NEAR, far: FAR, zin: ZIN, zout: ZOUT } as const;

/**
 * Reads all cables where the system stands: gains over the source's EMF in dB, impedances as 20·log of ohms.
 * @param row CURVES places for each probe, written
 */
export function readProbes(system: System, probes: readonly Probe[], scratch: Solution, row: Float64Array): void {
  system.solveSources(scratch);
  probes.forEach((p, k) => {
    row[k * CURVES + NEAR] = toDb(magnitude(scratch.voltage(...p.near)));
    row[k * CURVES + FAR] = toDb(magnitude(scratch.voltage(...p.far)));
  });
  probes.forEach((p, k) => {
    const both = impedancesAt(system, p, scratch);
    if (!both) return;
    row[k * CURVES + ZIN] = toDb(magnitude(both.zin));
    row[k * CURVES + ZOUT] = toDb(magnitude(both.zout));
  });
}

/** What an output sees, and has behind it, where the system stands, ohms; null behind a joint. @param scratch overwritten */
export function impedancesAt(
  system: System,
  { inject }: Probe,
  scratch: Solution
): { readonly zin: Complex; readonly zout: Complex } | null {
  if (!inject) return null;
  system.solveInjection(inject.a, inject.b, scratch);
  const volts = scratch.voltage(inject.a, inject.b);
  // One ampere divides: what enters the cable goes into the load, the rest into the output.
  const load = entering(scratch, inject.a, inject.into, 2 * Math.PI * system.hz);
  return { zin: divide(volts, load), zout: divide(volts, minus([1, 0], load)) };
}

/** Current from a node into what a core begins with, amperes. */
function entering(solved: Solution, from: Node, entries: readonly Entry[], omega: number): Complex {
  let [re, im] = [0, 0];
  for (const { to, ohm, farad } of entries) {
    const [vr, vi] = solved.voltage(from, to);
    if (ohm !== undefined) {
      re += vr / ohm;
      im += vi / ohm;
    } else {
      re -= omega * farad! * vi;
      im += omega * farad! * vr;
    }
  }
  return [re, im];
}
