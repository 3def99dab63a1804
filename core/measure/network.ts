import type { Line } from '../plan/lines';
import { lineScope } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { benchOf, sourceOf } from '../rig/bench';
import { impedancesAt, probe } from '../rig/probe';
import type { Complex } from '../solver/system';

/** A line's network as an interface meets it: complex, at given frequencies. */
export interface Met {
  /** Volts at the line's far end for a volt of the source's EMF. */
  readonly out: readonly Complex[];
  /** What the first output sees, and has behind it, ohms. */
  readonly zin: readonly Complex[];
  readonly zout: readonly Complex[];
  /** What the last output sees: the input with its cable, ohms. */
  readonly input: readonly Complex[];
}

/** @throws CircuitError where the network cannot be solved */
export function met(plan: Plan, line: Line, hz: readonly number[]): Met {
  const { rig, system } = benchOf(plan, lineScope(plan, line));
  system.sourcesOf = sourceOf(line);
  const [first, last] = [line.cables[0], line.cables[line.cables.length - 1]].map((cable) => probe(plan, rig, cable));
  const scratch = system.blank();
  const rows = hz.map((f) => {
    const out = system
      .at(f)
      .solveSources(scratch)
      .voltage(...last.far);
    const both = impedancesAt(system, first, scratch);
    const end = impedancesAt(system, last, scratch);
    if (!both || !end) throw new Error('an adapter has no impedance of its own');
    return { out, zin: both.zin, zout: both.zout, input: end.zin };
  });
  return {
    out: rows.map((r) => r.out),
    zin: rows.map((r) => r.zin),
    zout: rows.map((r) => r.zout),
    input: rows.map((r) => r.input)
  };
}
