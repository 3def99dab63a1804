import { diffPlans } from '$core/plan/diff';
import { copyOf } from '$core/plan/json';
import type { Plan } from '$core/plan/schema';
import { applySteps } from '$core/plan/steps';
import { saltRoad } from '$lib/server/demo-shows';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type PlanName, PlanNames, PlanShelf, SHELF } from './plan-shelf';

/** As it crosses to the worker: a copy. */
const cross = (name: PlanName): PlanName => structuredClone(name);
const longer = (plan: Plan, k: number, metres: number): Plan => {
  const next = copyOf(plan);
  const ids = Object.keys(next.cables);
  next.cables[ids[k % ids.length]].metres = metres;
  const stepped = applySteps(plan, diffPlans(plan, next));
  return stepped.ok ? stepped.plan : plan;
};

describe('plans by name', () => {
  it('come whole once, then as what has changed; one that is known by its number alone', () => {
    const [names, shelf] = [new PlanNames(), new PlanShelf()];
    const first = saltRoad();
    const second = longer(first, 0, 77);
    const one = cross(names.of(first));
    expect(one).toHaveProperty('whole');
    const two = cross(names.of(second));
    expect(two).toMatchObject({ from: 1, ops: [{ op: 'set', to: 77 }] });
    expect([shelf.get(one), shelf.get(two)]).toEqual([first, second]);
    expect(names.of(first)).toEqual({ id: 1 });
    // What was found out of it is found again: it is the same object.
    expect(shelf.get({ id: 1 })).toBe(shelf.get(one));
  });
  it('through any history, back to older ones too, both sides mean the same plan', () =>
    fc.assert(
      fc.property(
        fc.array(fc.record({ back: fc.nat(2 * SHELF), k: fc.nat(9), metres: fc.integer({ min: 1, max: 200 }) }), {
          maxLength: 3 * SHELF
        }),
        (steps) => {
          const [names, shelf] = [new PlanNames(), new PlanShelf()];
          const plans = [saltRoad()];
          expect(shelf.get(cross(names.of(plans[0])))).toEqual(plans[0]);
          for (const { back, k, metres } of steps) {
            plans.push(longer(plans.at(-1)!, k, metres));
            const asked = plans[Math.max(0, plans.length - 1 - back)];
            expect(shelf.get(cross(names.of(asked)))).toEqual(asked);
          }
        }
      ),
      { numRuns: 60 }
    ));
  it('what neither knows is an error, not another plan', () => {
    expect(() => new PlanShelf().get({ id: 3 })).toThrow('not known');
    expect(() => new PlanShelf().get({ id: 3, from: 2, ops: [] })).toThrow('not known');
  });
});
