import { isComplete, type Line, lineScope } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { benchOf, sourceOf } from '../rig/bench';
import { probe } from '../rig/probe';
import { magnitude } from '../solver/system';
import { toDb } from '../units/quantity';
import { responseShape } from './transfer';

/**
 * How large a line's response is, without its phase, its stages and its hiss: what a fit asks for many times.
 * @param hz hertz
 * @returns dB at its input for a volt of the source’s EMF
 * @throws CircuitError where the network cannot be solved; Error where the line has no source or no input
 */
export function sizeOf(plan: Plan, line: Line, hz: readonly number[]): number[] {
  if (!isComplete(plan, line)) throw new Error(`line ${line.id} has no source or no input`);
  const { rig, system } = benchOf(plan, lineScope(plan, line));
  system.sourcesOf = sourceOf(line);
  const { far } = probe(plan, rig, line.cables[line.cables.length - 1]);
  const scratch = system.blank();
  const shape = responseShape(plan, line);
  return hz.map((f) => {
    system.at(f).solveSources(scratch);
    return toDb(magnitude(scratch.voltage(...far))) + (shape?.(f) ?? 0);
  });
}
