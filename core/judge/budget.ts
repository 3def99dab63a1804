import { CircuitError } from '../solver/network';
import { type Line, together } from '../plan/lines';
import type { Plan } from '../plan/schema';
import type { LineSolution } from '../rig/solve';

/** Direct current that one line draws from the phantom supply of the host that its input belongs to, amperes. */
export interface Draw {
  readonly host: string;
  readonly act: string | undefined;
  readonly ampere: number;
}

/** What a line draws; null where it draws nothing, or from nobody. */
export function drawOf(plan: Plan, line: Line, solution: LineSolution | CircuitError): Draw | null {
  const host = plan.devices[line.id].host;
  if (host === undefined || solution instanceof CircuitError) return null;
  const ampere = solution.phantom?.ampere ?? 0;
  return ampere > 0 ? { host, act: line.info?.act || undefined, ampere } : null;
}

/** What all lines together draw from a host while an act is on, amperes; with no act, in the one that draws most. */
export function drawn(draws: readonly Draw[], host: string, act: string | undefined): number {
  const here = draws.filter((d) => d.host === host);
  const acts = act === undefined ? [...new Set(here.map((d) => d.act))] : [act];
  return Math.max(
    0,
    ...acts.map((now) => here.filter((d) => together(now, d.act)).reduce((sum, d) => sum + d.ampere, 0))
  );
}
