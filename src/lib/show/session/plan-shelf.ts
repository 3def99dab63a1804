import { diffPlans } from '$core/plan/diff';
import type { Op, Plan } from '$core/plan/schema';
import { applySteps } from '$core/plan/steps';

/**
 * Plans that page and worker both know, by number: a call names one, and brings along how it differs from one that is known. So
 * what the worker has found out of a plan stays with it, and a show of a thousand devices is not sent for one lead made longer.
 */

/** A plan, named: known already, made from a known one by steps, or brought whole. */
export type PlanName =
  | { readonly id: number }
  | { readonly id: number; readonly from: number; readonly ops: readonly Op[] }
  | { readonly id: number; readonly whole: Plan };

/** How many plans the worker keeps; those named last. */
export const SHELF = 24;

/** The page's side: names plans. */
export class PlanNames {
  readonly #ids = new WeakMap<Plan, number>();
  #last: { readonly id: number; readonly plan: Plan } | null = null;
  #next = 1;

  of(plan: Plan): PlanName {
    const known = this.#ids.get(plan);
    // Not so long ago that the worker may have put it away.
    if (known !== undefined && known > this.#next - SHELF) return { id: known };
    const id = this.#next++;
    const from = this.#last;
    this.#ids.set(plan, id);
    this.#last = { id, plan };
    return from ? { id, from: from.id, ops: diffPlans(from.plan, plan) } : { id, whole: plan };
  }
}

/** The worker's side: the plan of a name, the same object each time. */
export class PlanShelf {
  readonly #plans = new Map<number, Plan>();

  get(name: PlanName): Plan {
    const known = this.#plans.get(name.id);
    const plan = known ?? this.#made(name);
    this.#plans.set(name.id, plan);
    for (const id of this.#plans.keys()) if (id <= name.id - SHELF) this.#plans.delete(id);
    return plan;
  }
  #made(name: PlanName): Plan {
    if ('whole' in name) return name.whole;
    const base = 'from' in name ? this.#plans.get(name.from) : undefined;
    const stepped = base && 'ops' in name ? applySteps(base, name.ops) : undefined;
    if (!stepped?.ok) throw new Error(`plan ${name.id} is not known here`);
    return stepped.plan;
  }
}
