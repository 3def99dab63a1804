import type * as z from '../text/zod';
import { allWellFormed } from '../text/well-formed';
import { type PlanFault, planFaults } from './integrity';
import { type Plan, PlanSchema } from './schema';
import { upgradePlan } from './upgrade';

/** Why a document is not a plan. `shape`: a field has the wrong form; `meaning`: it cannot be wired. */
export type LoadFault = { kind: 'shape'; where: string; message: string } | ({ kind: 'meaning' } & PlanFault);
export type Loaded = { ok: true; plan: Plan } | { ok: false; faults: LoadFault[] };

/** Fields of a document that have the wrong form, the first twenty. */
export const shapeFaults = (error: z.core.$ZodError): LoadFault[] =>
  error.issues.slice(0, 20).map((issue) => ({
    kind: 'shape',
    where: issue.path.join('.') || 'file',
    message: issue.message
  }));

/** Reads anything as a plan, older versions too, or says which fields stand in the way and why. */
export function loadPlan(document: unknown): Loaded {
  const shape = PlanSchema.safeParse(allWellFormed(upgradePlan(document)));
  if (!shape.success) {
    return { ok: false, faults: shapeFaults(shape.error) };
  }
  const meaning = planFaults(shape.data);
  return meaning.length > 0
    ? { ok: false, faults: meaning.slice(0, 20).map((fault) => ({ kind: 'meaning', ...fault })) }
    : { ok: true, plan: shape.data };
}
