import { applyEdit } from '../plan/edit';
import { diffPlans } from '../plan/diff';
import type { Line } from '../plan/lines';
import type { Op, Plan } from '../plan/schema';
import { type Hypothesis, hypothesesFor } from './hypotheses';

/** What may be wrong with a line, as far as it is nothing but a change of the plan: these can be heard. */
export interface AudibleFault {
  readonly cause: Pick<Hypothesis, 'code' | 'of'>;
  readonly ops: readonly Op[];
}

/** Of all that may be, so many, those that are met most first. */
const MOST = 6;

export function faultsOf(plan: Plan, line: Line): AudibleFault[] {
  return hypothesesFor(plan, line)
    .filter(({ situation: { plan: _, ...more } }) => Object.values(more).every((v) => v === undefined))
    .sort((a, b) => b.prior - a.prior)
    .flatMap(({ code, of, situation }): AudibleFault[] => {
      const ops = diffPlans(plan, situation.plan);
      return ops.length > 0 && applyEdit(plan, { ops }).ok ? [{ cause: { code, of }, ops }] : [];
    })
    .slice(0, MOST);
}
