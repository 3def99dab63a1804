import { listen as says } from '$core/words/screen/listen';
import { diffPlans } from '$core/plan/diff';
import { copyOf } from '$core/plan/json';
import type { Line } from '$core/plan/lines';
import type { Op, Plan } from '$core/plan/schema';
import type { Through } from './hear.worker';

/** Something that may be heard beside others. */
export interface Candidate {
  readonly key: string;
  readonly name: string;
  readonly through: Through;
}

/** What every line may be heard as. */
export function candidatesOf(plan: Plan, line: Line | null): readonly Candidate[] {
  if (!line) return [];
  const broken = brokenLeg(plan, line);
  return [
    { key: 'dry', name: says.dry, through: { kind: 'dry' } },
    { key: 'plan', name: says.asPlanned, through: { kind: 'line', ops: [] } },
    ...(broken ? [{ key: 'leg', name: says.brokenLeg, through: { kind: 'line' as const, ops: broken } }] : [])
  ];
}

/** Its last run with one conductor open at the far end; null where that is no balanced cable. */
function brokenLeg(plan: Plan, line: Line): readonly Op[] | null {
  const id = line.cables.at(-1);
  if (id === undefined || !['mic', 'star-quad', 'multicore'].includes(plan.cables[id].kind)) return null;
  const draft = copyOf(plan);
  draft.cables[id] = { ...draft.cables[id], wiring: ['plain', 'cold-open'] };
  const ops = diffPlans(plan, draft);
  return ops.length > 0 ? ops : null;
}
