import { describe, expect, it } from 'vitest';
import { judgePlan } from '../judge/judge';
import { bothSides, toldAlike } from '../judge/pair-report';
import { readTrade } from '../reader/trade/read';
import { applyEdit } from './edit';
import { editBy } from './diff';
import { blankPlan } from './blank';
import { builtAlike, mirrorOps } from './mirror';
import { putLine } from './put';
import { resolve } from './resolved';
import type { Plan } from './schema';

const ID = '6f9619ff-8b86-4d01-b42d-00cf4fc964ff';

function pair(): { plan: Plan; left: ReturnType<typeof sides>[0]; right: ReturnType<typeof sides>[0] } {
  const plan = blankPlan();
  readTrade('keys L/R, stereo DI, SB 7/8').specs.forEach((spec, k) => putLine(plan, spec, (role) => `l${k}-${role}`));
  const [left, right] = sides(plan);
  return { plan, left, right };
}
const sides = (plan: Plan) => resolve(plan).lines;

/** Changes one side, and gives the plan with both changed. */
function both(plan: Plan, left: number, change: (draft: Plan) => void): Plan | null {
  const lines = sides(plan);
  const edit = editBy(plan, { code: 'set', subject: '' }, ID, change)!;
  const ops = mirrorOps(plan, lines[left], lines[1 - left], edit.ops);
  if (!ops) return null;
  const done = applyEdit(plan, { ops });
  if (!done.ok) throw new Error(JSON.stringify(done.fault));
  return done.plan;
}
const alike = (plan: Plan): boolean => {
  const [a, b] = sides(plan);
  const shape = (ids: readonly string[], rows: object): string =>
    JSON.stringify(ids.map((id) => ({ ...(rows as Record<string, object>)[id], from: 0, to: 0 })));
  return (
    shape(a.devices, plan.devices) === shape(b.devices, plan.devices) &&
    shape(a.cables, plan.cables) === shape(b.cables, plan.cables)
  );
};

describe('a pair as one thing', () => {
  it('what is set on one side is set on the other, from whichever side it is done', () => {
    const { plan } = pair();
    expect(builtAlike(plan, ...(sides(plan) as [never, never]))).toBe(true);
    for (const side of [0, 1]) {
      const after = both(plan, side, (draft) => {
        draft.devices[`l${side}-mid`].settings.lift = 'lifted';
        draft.cables[`l${side}-lead`].metres = 7;
      })!;
      expect([0, 1].map((k) => after.devices[`l${k}-mid`].settings.lift)).toEqual(['lifted', 'lifted']);
      expect([0, 1].map((k) => after.cables[`l${k}-lead`].metres)).toEqual([7, 7]);
      expect(alike(after)).toBe(true);
    }
  });
  it('what is put in and taken out is so on both, with parts of its own', () => {
    const { plan } = pair();
    const lines = sides(plan);
    const spec = readTrade('keys, DI, pad 20 inline pad, 30 m, mic').specs[0];
    const after = both(
      plan,
      0,
      (draft) => void putLine(draft, { ...spec, name: 'Keys L', pair: 'Keys' }, (r) => `new-${r}`, lines[0])
    )!;
    const [a, b] = sides(after);
    expect(a.devices.length).toBe(b.devices.length);
    expect(new Set([...a.devices, ...b.devices]).size).toBe(2 * a.devices.length);
    expect(alike(after)).toBe(true);
  });
  it('name and channel stay each side’s own; a side that stands otherwise, or another line, is left alone', () => {
    const { plan } = pair();
    expect(both(plan, 0, (draft) => void (draft.lines['l0-in'].name = 'Piano L'))).toBeNull();
    const exposed = both(plan, 0, (draft) => void (draft.lines['l0-in'].exposure = 'lead'))!;
    expect(exposed.lines['l1-in'].exposure).toBe('lead');
    plan.devices['l1-mid'].settings.lift = 'lifted';
    expect(both(plan, 0, (draft) => void (draft.devices['l0-mid'].settings.lift = 'lifted'))).toBeNull();
    expect(both(plan, 0, (draft) => void putLine(draft, readTrade('vox, dyn').specs[0], (r) => `v-${r}`))).toBeNull();
  });
  it('is told by the worse of every figure, and as one only where both say the same', () => {
    const { plan } = pair();
    const [a, b] = judgePlan(plan);
    expect(toldAlike(a, b)).toBe(true);
    plan.cables['l1-lead'].metres = 25;
    const [left, right] = judgePlan(plan);
    expect(toldAlike(left, right)).toBe(false);
    const told = bothSides(left, right);
    expect(told.severity).toBe(right.severity);
    expect(told.hum!.below).toBe(Math.min(left.hum!.below, right.hum!.below));
    expect(told.findings.some((f) => f.code === 'long-unbalanced')).toBe(true);
    expect(told.marks[0]).toEqual(right.marks[0]);
  });
});
