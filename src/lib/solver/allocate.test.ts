import { allocate, opsOf, type Proposal } from '$core/advise/allocate';
import type { Program } from '$core/advise/program';
import { parcelsOf, Search } from '$core/advise/search';
import { Stock } from '$core/advise/stock';
import { judgePlan } from '$core/judge/judge';
import { rank } from '$core/judge/types';
import { type Kit, PLAIN } from '$core/kit/schema';
import { blankPlan } from '$core/plan/blank';
import { applyEdit } from '$core/plan/edit';
import type { LineInfo, Plan } from '$core/plan/schema';
import { putLine } from '$core/plan/put';
import { readKit } from '$core/reader/kit';
import { readLine } from '$core/reader/read-line';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoKit } from '$lib/server/demo-kit';
import { saltRoad } from '$lib/server/demo-shows';
import { exactSolver } from './highs';

const solve = exactSolver();

describe('the exact solver', () => {
  it('finds what trying everything finds', async () => {
    const program = fc.record({
      costs: fc.array(fc.integer({ min: -20, max: 20 }), { minLength: 3, maxLength: 8 }),
      weights: fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 8, maxLength: 8 }),
      bound: fc.integer({ min: 0, max: 25 })
    });
    await fc.assert(
      fc.asyncProperty(program, async ({ costs, weights, bound }) => {
        const names = costs.map((_, k) => `x${k}`);
        const made: Program = {
          objective: costs.map((c, k) => [c, names[k]]),
          rows: [{ terms: names.map((n, k) => [weights[k], n]), sense: '<=', bound }],
          binary: names,
          whole: []
        };
        let best = Infinity;
        for (let mask = 0; mask < 1 << costs.length; mask++) {
          const on = costs.map((_, k) => (mask >> k) & 1);
          if (on.reduce((sum, x, k) => sum + x * weights[k], 0) > bound) continue;
          best = Math.min(
            best,
            on.reduce((sum, x, k) => sum + x * costs[k], 0)
          );
        }
        expect((await solve(made)).objective).toBeCloseTo(best, 6);
      }),
      { numRuns: 60 }
    );
  });
});

function show(lines: readonly [text: string, info?: Partial<LineInfo>][]): Plan {
  const plan = blankPlan();
  lines.forEach(([text, info], k) => {
    const id = putLine(plan, readLine(text).spec!, (role) => `l${k}-${role}`);
    Object.assign(plan.lines[id], info);
  });
  return plan;
}
const PIEZO = 'piezo, 3 m, passive DI, 40 m multicore, mic';
const kitOf = (text: string): Kit => Object.fromEntries(readKit(text).items.map((item, k) => [`k${k}`, item]));
const propose = async (plan: Plan, kit: Kit): Promise<Proposal> =>
  (await allocate(plan, { stock: new Stock(kit), solve }))!;
const boxes = (p: Proposal): Record<string, string> =>
  Object.fromEntries(
    p.allotments.map((a) => [a.lineId, a.route.report.devices.length > 2 ? a.route.chain.devices[1].model : ''])
  );

describe('too few boxes', () => {
  it('the exposed line gets the one good box, and the wish is for another', async () => {
    const plan = show([
      [`upright bass ${PIEZO}`, { exposure: 'buried' }],
      [`cello ${PIEZO}`, { exposure: 'lead' }]
    ]);
    const p = await propose(plan, kitOf('1 active DI 10m, 2 passive DIs, 4 x 3 m TS'));
    expect(boxes(p)).toMatchObject({ 'l1-in': 'active-di-10m' });
    expect(p.wishes[0]).toMatchObject({ what: 'active-di-10m', helps: ['l0-in'] });
  });
  it('lines of different acts share one box', async () => {
    const kit = kitOf('1 active DI 10m, 4 x 3 m TS');
    const both = show([
      [`upright bass ${PIEZO}`, { act: 'one' }],
      [`cello ${PIEZO}`, { act: 'two' }]
    ]);
    const p = await propose(both, kit);
    expect(boxes(p)).toEqual({ 'l0-in': 'active-di-10m', 'l1-in': 'active-di-10m' });
    expect(p.hire).toEqual([]);
  });
  it('a pair gets the same boxes, or neither', async () => {
    const pair = { pair: 'organ' };
    const plan = show([
      [`organ ${PIEZO}`, pair],
      [`organ ${PIEZO}`, pair]
    ]);
    const p = await propose(plan, kitOf('1 active DI 10m, 2 active DIs, 4 x 3 m TS'));
    expect(new Set(Object.values(boxes(p))).size).toBe(1);
  });
  it('a locked line keeps what it has', async () => {
    const plan = show([[`upright bass ${PIEZO}`, { locked: true }]]);
    const p = await propose(plan, kitOf('1 active DI 10m, 1 passive DI, 4 x 3 m TS'));
    expect(p.allotments[0]).toMatchObject({ kept: true, locked: true });
  });
  it('never deals out more than there is, nor what is suspect', async () => {
    const kit = {
      ...kitOf('2 active DIs, 3 x 3 m TS'),
      bad: { kind: 'device' as const, model: 'active-di-10m', ...PLAIN, condition: 'suspect' as const }
    };
    const plan = show([[`upright bass ${PIEZO}`], [`cello ${PIEZO}`], [`harp ${PIEZO}`]]);
    const p = await propose(plan, kit);
    const stock = new Stock(kit);
    const parts = p.allotments.flatMap((a) => a.route.parts);
    expect(stock.missing(parts)).toHaveLength(p.hire.reduce((n, h) => n + h.count, 0));
  });
  it('phantom of the whole desk is dealt out like a box', async () => {
    const lines: readonly string[] = ['upright bass', 'cello', 'harp'].map((what) => `${what} ${PIEZO}`);
    const plan = show(lines.map((text) => [text]));
    const kit = kitOf('3 active DIs 10m, 3 passive DIs, 6 x 3 m TS');
    const free = await propose(plan, kit);
    const draws = (p: Proposal): number => p.allotments.reduce((sum, a) => sum + a.route.report.phantomAmpere, 0);
    expect(Object.values(boxes(free))).toEqual(Array.from({ length: 3 }, () => 'active-di-10m'));
    plan.hosts.desk.phantomMost = draws(free) * 0.7;
    const bound = await propose(plan, kit);
    expect(draws(bound)).toBeLessThanOrEqual(plan.hosts.desk.phantomMost);
    expect(bound.after.flatMap((r) => r.findings.map((f) => f.code))).not.toContain('phantom-spent');
  });
  it('searched in parcels, by several threads say, the same is proposed', async () => {
    const plan = show([[`upright bass ${PIEZO}`], [`cello ${PIEZO}`], [`cello ${PIEZO}`], ['laptop, 3 m, mic']]);
    const stock = new Stock(kitOf('1 active DI 10m, 2 passive DIs, 1 media DI, 6 x 3 m TS'));
    const lines = new Search(plan, stock).whole.lines;
    const parcels = parcelsOf(plan, lines, 2);
    expect(parcels.flat().sort()).toEqual(lines.map((l) => l.id).sort());
    const found = new Map(
      parcels.flatMap((ids) => {
        const search = new Search(plan, stock);
        return lines.filter((l) => ids.includes(l.id)).map((l) => [l.id, search.routes(l)] as const);
      })
    );
    const keys = (p: Proposal | null) => p!.allotments.map((a) => [a.lineId, a.route.key]);
    expect(keys(await allocate(plan, { stock, solve, found }))).toEqual(keys(await allocate(plan, { stock, solve })));
  });
  it('a way called off gives nothing', async () =>
    expect(
      await allocate(show([[`cello ${PIEZO}`]]), { stock: new Stock(null), solve, progress: () => false })
    ).toBeNull());
});

describe('The Salt Road from the kit', () => {
  it('goes from its planted mistakes to no stop and no danger, the same every time', async () => {
    const plan = saltRoad();
    const p = await propose(plan, demoKit());
    expect(p.before.some((r) => rank(r.severity) >= rank('stop'))).toBe(true);
    expect(p.after.filter((r) => rank(r.severity) >= rank('stop'))).toEqual([]);
    expect(p.hire).toEqual([]);
    const applied = applyEdit(plan, { ops: opsOf(p.allotments, new Set(p.allotments.map((a) => a.lineId))) });
    if (!applied.ok) throw new Error(JSON.stringify(applied.fault));
    expect(judgePlan(applied.plan).map((r) => r.severity)).toEqual(p.after.map((r) => r.severity));
    const again = await propose(plan, demoKit());
    expect(again.allotments.map((a) => a.route.key)).toEqual(p.allotments.map((a) => a.route.key));
  }, 300_000);
});
