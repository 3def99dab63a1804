import { describe, expect, it } from 'vitest';
import { saltRoad } from '../../src/lib/server/demo-shows';
import { judgeWhole } from '../judge/judge';
import { SolvedRig } from '../judge/solved-rig';
import { applyEdit } from '../plan/edit';
import { editBy } from '../plan/diff';
import { loadPlan } from '../plan/load';
import type { MeasuredRow, Plan } from '../plan/schema';
import { foreseen } from './belief';
import { earthMap } from './map';
import { inOrder, measuredOf, remeasured, rowOf } from './measured';

const AT = (k: number): string => `2026-01-0${k}T20:00:00.000Z`;
const volts = (value: number, k = 1): MeasuredRow => ({
  kind: 'volts',
  of: ['stage-left', 'platform'],
  value,
  at: AT(k)
});
const clamp = (value: number, k = 2): MeasuredRow => ({ kind: 'clamp', of: ['l-6-lead'], value, at: AT(k) });
const mapOf = (plan: Plan) => {
  const whole = new SolvedRig(plan);
  return earthMap(whole, new Map(judgeWhole(whole).map((r) => [r.id, r])));
};

describe('what was measured', () => {
  it('is kept with its date, and the map then says nearly the same', () => {
    const plan = remeasured(saltRoad(), 'm1', volts(0.9));
    expect(plan.measured).toEqual({ m1: volts(0.9) });
    const [{ now }] = mapOf(plan).measured;
    expect(now! / 0.9).toBeGreaterThan(0.85);
    expect(now! / 0.9).toBeLessThan(1.15);
    // The same figure by the slow way.
    expect(now).toBeCloseTo(foreseen(plan, measuredOf(plan, volts(0.9))!), 9);
    const both = remeasured(plan, 'm2', clamp(0.02));
    for (const { row, now: is } of mapOf(both).measured)
      expect(is).toBeCloseTo(foreseen(both, measuredOf(both, row)!), 6);
  });
  it('can be changed and taken back in any order: what follows is as if it had always been so', () => {
    const start = saltRoad();
    const direct = remeasured(remeasured(start, 'a', volts(0.5)), 'b', clamp(0.02));
    const swapped = remeasured(remeasured(start, 'b', clamp(0.02)), 'a', volts(0.5));
    expect(swapped.supplies).toEqual(direct.supplies);
    expect(inOrder(swapped).map(([id]) => id)).toEqual(['a', 'b']);
    const changed = remeasured(remeasured(remeasured(start, 'a', volts(2)), 'b', clamp(0.02)), 'a', volts(0.5));
    expect(changed.supplies).toEqual(direct.supplies);
    const one = remeasured(direct, 'a', null);
    expect(one.supplies).toEqual(remeasured(start, 'b', clamp(0.02)).supplies);
    // With nothing measured the plan is as it was planned, to the letter.
    expect(remeasured(one, 'b', null)).toEqual(start);
  });
  it('is one edit, which a server takes, and a plan with it loads as it is', () => {
    const plan = saltRoad();
    const then = remeasured(plan, 'm1', volts(0.9));
    const edit = editBy(plan, { code: 'set', subject: 'x' }, crypto.randomUUID(), (draft) => {
      draft.supplies = then.supplies;
      draft.measured = then.measured;
    })!;
    const applied = applyEdit(plan, edit);
    expect(applied.ok && applied.plan).toEqual(then);
    const loaded = loadPlan(JSON.parse(JSON.stringify(then)));
    expect(loaded.ok && loaded.plan).toEqual(then);
    const back = editBy(then, { code: 'set', subject: 'x' }, crypto.randomUUID(), (draft) => {
      draft.supplies = plan.supplies;
      delete draft.measured;
    })!;
    const undone = applyEdit(then, back);
    expect(undone.ok && undone.plan).toEqual(plan);
  });
  it('says nothing any more of what is gone, and stays', () => {
    const plan = remeasured(saltRoad(), 'm1', { ...clamp(0.02), of: ['no-such-cable'] });
    expect(measuredOf(plan, plan.measured!.m1)).toBeNull();
    expect(mapOf(plan).measured[0].now).toBeNull();
    for (const [id, supply] of Object.entries(plan.supplies)) expect(supply.emf).toBe(saltRoad().supplies[id].emf);
    for (const what of [
      { kind: 'volts', supplies: ['stage-left', 'platform'], volts: 0.9 },
      { kind: 'clamp', cable: 'l-6-lead', ampere: 0.02 },
      { kind: 'level', line: 'l-6-in', volts: 0.001 }
    ] as const)
      expect(measuredOf(saltRoad(), rowOf(what, AT(1)))).toEqual(what);
  });
});
