import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { judgeWhole } from '../judge/judge';
import { type Pieces, SolvedRig } from '../judge/solved-rig';
import { applyEdit } from '../plan/edit';
import { planFaults } from '../plan/integrity';
import type { Plan } from '../plan/schema';
import { onTwoSupplies, show } from '../tests/plans';
import { cureText } from '../words/trace';
import { curesFor, curesInSteps } from './cures';
import { earthMap } from './map';

const SOURCES = [
  'keyboard earthed',
  'modular rack earthed',
  'balanced line',
  'rca player earthed',
  'keyboard wall-wart'
];
const WAYS = ['3 m, passive DI, 30 m, mic', '3 m, active DI, 30 m, mic', '8 m, line', '12 m, rca input'];

/** Small shows on two supplies of which some lines close a ring. */
const shows = fc
  .array(fc.tuple(fc.constantFrom(...SOURCES), fc.constantFrom(...WAYS)), { minLength: 1, maxLength: 3 })
  .map((lines): Plan => {
    const plan = onTwoSupplies(show(...lines.map(([s, w], k) => [`L${k}: ${s}, ${w}`] as [string])));
    for (const d of Object.values(plan.devices)) if (d.supply !== undefined) d.supply = 'stage';
    return plan;
  });

describe('cures of any ring', () => {
  it('can be applied, quieten the worst input as foreseen, tell whom they disturb, and have words', () =>
    fc.assert(
      fc.property(shows, (plan) => {
        const pieces: Pieces = new Map();
        const whole = new SolvedRig(plan, pieces);
        const reports = judgeWhole(whole);
        const map = earthMap(whole, new Map(reports.map((r) => [r.id, r])));
        const [ring] = map.rings;
        if (!ring?.worst || ring.severity === 'clean') return;
        const cures = curesFor(plan, ring, reports, pieces);
        expect(new Set(cures.map((c) => JSON.stringify(c.ops))).size).toBe(cures.length);
        for (const cure of cures) {
          const edited = applyEdit(plan, { ops: [...cure.ops] });
          if (!edited.ok) throw new Error(edited.fault.code);
          expect(planFaults(edited.plan)).toEqual([]);
          const after = new Map(judgeWhole(new SolvedRig(edited.plan)).map((r) => [r.id, r]));
          expect(after.get(ring.worst.line)!.hum!.below).toBeCloseTo(cure.after, 6);
          expect(cure.after).toBeGreaterThan(cure.before);
          for (const w of cure.worse) expect(after.has(w.line)).toBe(true);
          for (const [id, d] of Object.entries(edited.plan.devices))
            expect(d.settings.earth).toBe(plan.devices[id]?.settings.earth);
          expect(cureText(cure.what)).toMatch(/^[A-Z1]/);
        }
      }),
      { numRuns: 20 }
    ));
  it('of a loop that several lines close: done on all of them, it quietens the mix more than on one', () => {
    const plan = onTwoSupplies(
      show(
        ['Keys: keyboard earthed, 3 m, passive DI, 30 m, mic'],
        ['Rack: keyboard earthed, 3 m, passive DI, 30 m, mic'],
        ['Pad: keyboard earthed, 3 m, passive DI, 30 m, mic']
      )
    );
    for (const d of Object.values(plan.devices)) if (d.supply !== undefined) d.supply = 'stage';
    const pieces: Pieces = new Map();
    const whole = new SolvedRig(plan, pieces);
    const reports = judgeWhole(whole);
    const [ring] = earthMap(whole, new Map(reports.map((r) => [r.id, r]))).rings;
    const cures = curesFor(plan, ring, reports, pieces);
    const all = cures.find((c) => c.lines.length > 0)!;
    expect([...all.lines].sort()).toEqual(['l0-in', 'l1-in', 'l2-in']);
    const one = cures.find((c) => c.line !== null && JSON.stringify(c.what) === JSON.stringify(all.what))!;
    expect(all.mixAfter).toBeGreaterThan(one.mixAfter + 3);
    // What it brings elsewhere is told by line, most first, and is what the whole rig then gives.
    expect(all.better).toHaveLength(2);
    const edited = applyEdit(plan, { ops: [...all.ops] });
    if (!edited.ok) throw new Error(edited.fault.code);
    const after = new Map(judgeWhole(new SolvedRig(edited.plan)).map((r) => [r.id, r]));
    const before = new Map(reports.map((r) => [r.id, r]));
    for (const { line, humDb } of all.better)
      expect(after.get(line)!.hum!.below - before.get(line)!.hum!.below).toBeCloseTo(humDb, 6);
    expect(all.better[0].humDb).toBeGreaterThanOrEqual(all.better[1].humDb);
  });
  it('come step by step, so that somebody who waits for something else gets between', () => {
    const plan = onTwoSupplies(
      show(['Keys: keyboard earthed, 3 m, passive DI, 30 m, mic'], ['Rack: rca player earthed, 12 m, rca input'])
    );
    for (const d of Object.values(plan.devices)) if (d.supply !== undefined) d.supply = 'stage';
    const pieces: Pieces = new Map();
    const whole = new SolvedRig(plan, pieces);
    const reports = judgeWhole(whole);
    const [ring] = earthMap(whole, new Map(reports.map((r) => [r.id, r]))).rings;
    const steps = curesInSteps(plan, ring, reports, pieces);
    let count = 0;
    let step = steps.next();
    for (; !step.done; step = steps.next()) count++;
    expect(count).toBeGreaterThan(10);
    expect(step.value).toEqual(curesFor(plan, ring, reports, pieces));
    expect(step.value.length).toBeGreaterThan(2);
  });
});
