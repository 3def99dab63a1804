import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { judgePlan, judgeWhole } from '../judge/judge';
import { SolvedRig } from '../judge/solved-rig';
import { applyEdit } from '../plan/edit';
import { reverseOps } from '../plan/steps';
import { diffPlans } from '../plan/diff';
import { copyOf } from '../plan/json';
import { domainsOf, isComplete, traceLines } from '../plan/lines';
import { type Plan, PlanSchema } from '../plan/schema';
import { plan as anyPlan } from '../tests/arbitrary';
import { onTwoSupplies, show } from '../tests/plans';
import { slowHum } from '../tests/slow-hum';
import { curesFor } from '../trace/cures';
import { earthMap } from '../trace/map';
import { cureText } from '../words/trace';

/** Metal that touches metal: rack rails, a riser, a plug on the floor. */

const withTouch = (plan: Plan, a: string, b: string): Plan => ({ ...plan, touches: { t: { a, b } } });
const hum = (plan: Plan, line: string): number => judgePlan(plan).find((r) => r.id === line)!.hum!.dbu;
const bass = (): Plan => onTwoSupplies(show(['Bass: passive bass, 5 m, passive DI, 30 m, mic 1']));
const mapOf = (plan: Plan) => {
  const whole = new SolvedRig(plan);
  const reports = judgeWhole(whole);
  return { whole, reports, map: earthMap(whole, new Map(reports.map((r) => [r.id, r]))) };
};

describe('metal that touches metal', () => {
  it('closes a ring that was open: on an earthed riser it hums, insulated it does not', () => {
    const plan = onTwoSupplies(show(['Keys: keyboard, 10 m, line 1']));
    plan.devices['l0-src'].settings.feed = 'battery';
    delete plan.devices['l0-src'].supply;
    const touched = withTouch(plan, 'device:l0-src', 'supply:stage');
    expect(mapOf(plan).map.rings).toEqual([]);
    const { map, reports, whole } = mapOf(touched);
    expect(map.rings).toHaveLength(1);
    expect(map.rings[0].touches).toEqual(['t']);
    expect([...map.rings[0].supplies].sort()).toEqual(['annex', 'stage']);
    expect(map.contacts).toEqual([{ id: 't', line: 'l0-in', from: 'device:l0-src', to: 'supply:stage', by: null }]);
    expect(hum(touched, 'l0-in')).toBeGreaterThan(hum(plan, 'l0-in') + 20);
    // Where the desk is earthed as well there is no EMF to drive anything.
    expect(hum(withTouch(plan, 'device:l0-src', 'supply:annex'), 'l0-in')).toBeLessThan(hum(touched, 'l0-in') - 20);
    // The plug at the desk touches the same riser: the ring is closed at the other end of the lead, and hums as little.
    const plug = withTouch(plan, 'cable:l0-lead', 'supply:stage');
    expect(hum(plug, 'l0-in')).toBeLessThan(hum(touched, 'l0-in') - 20);
    const cures = curesFor(touched, map.rings[0], reports, whole.pieces);
    const apart = cures.find((c) => c.what.some((w) => w.code === 'insulate'))!;
    expect([apart.cost, apart.worse]).toEqual([0, []]);
    const mended = applyEdit(touched, { ops: [...apart.ops] });
    expect(mended.ok && mended.plan).toEqual(plan);
    expect(apart.after).toBeCloseTo(judgePlan(plan)[0].hum!.below, 6);
    expect(cureText(apart.what)).toBe('Put something dry and insulating between the metal that touches');
  });
  it('joins what was two pieces: two chassis on one rail are solved together', () => {
    const plan = onTwoSupplies(
      show(['Keys: keyboard earthed, 3 m, passive DI, 20 m, mic 1'], ['Rack: interface earthed, 20 m, line 2'])
    );
    plan.devices['l0-src'].supply = 'stage';
    plan.devices['l1-src'].supply = 'annex';
    expect(domainsOf(plan)).toHaveLength(2);
    const touched = withTouch(plan, 'device:l0-src', 'device:l1-src');
    expect(domainsOf(touched)).toHaveLength(1);
    const { map } = mapOf(touched);
    expect(map.contacts).toEqual([{ id: 't', line: 'l0-in', from: 'device:l0-src', to: 'device:l1-src', by: null }]);
    // The rail brings the stage's earth to the rack, whose shield then carries current to the desk.
    const ring = (m: typeof map, cable: string): number => m.rings.find((r) => r.cables.includes(cable))?.ampere ?? 0;
    const cable = Object.keys(plan.cables).find((c) => c.startsWith('l1-'))!;
    expect(ring(map, cable)).toBeGreaterThan(2 * ring(mapOf(plan).map, cable));
  });
  it('a contact of something that is gone is nothing, and comes back with it', () => {
    const plan = bass();
    for (const [a, b] of [
      ['device:gone', 'supply:stage'],
      ['device:l0-mid', 'supply:gone'],
      ['cable:gone', 'device:l0-src'],
      ['device:l0-mid', 'device:l0-mid']
    ]) {
      const touched = withTouch(plan, a, b);
      expect(PlanSchema.safeParse(touched).success).toBe(true);
      expect(hum(touched, 'l0-in')).toBe(hum(plan, 'l0-in'));
      expect(mapOf(touched).map.rings).toEqual([]);
    }
    for (const [a, b] of [
      ['supply:stage', 'device:l0-mid'],
      ['device:l0-mid', 'cable:l0-run'],
      ['device:', 'host:desk']
    ])
      expect(PlanSchema.safeParse(withTouch(plan, a, b)).success).toBe(false);
  });
  it('is an edit like any other: made, taken back, brought again', () => {
    const plan = bass();
    const touched = withTouch(plan, 'device:l0-src', 'host:desk');
    const ops = diffPlans(plan, touched);
    expect(ops).toHaveLength(1);
    const made = applyEdit(plan, { ops });
    expect(made.ok && made.plan).toEqual(touched);
    const back = applyEdit(touched, { ops: reverseOps(ops) });
    expect(back.ok && back.plan).toEqual(plan);
  });
  it('over random rigs: joined at their earths the pieces hum as the one whole network does', () =>
    fc.assert(
      fc.property(
        anyPlan,
        fc.nat(),
        fc.nat(),
        fc.constantFrom('supply', 'host', 'device', 'cable'),
        (some, i, j, kind) => {
          const plan = copyOf(some);
          plan.policy.ambient = 'none';
          const devices = Object.keys(plan.devices);
          const cables = Object.keys(plan.cables);
          const a = kind === 'cable' ? `cable:${cables[i % cables.length]}` : `device:${devices[i % devices.length]}`;
          const b =
            kind === 'supply'
              ? 'supply:stage'
              : kind === 'host'
                ? 'host:desk'
                : `device:${devices[j % devices.length]}`;
          plan.touches = { t: { a, b } };
          const solved = new SolvedRig(plan).solved();
          const slowOf = slowHum(plan);
          for (const line of traceLines(plan).filter((l) => isComplete(plan, l))) {
            const { hum: fast } = solved.get(line.id)!;
            if (!fast || plan.devices[line.id].model === 'phono-in') continue;
            const slow = slowOf(line);
            expect(Math.abs(fast.spectrum[0] - slow)).toBeLessThan(1e-9 + slow * 1e-6);
          }
        }
      ),
      { numRuns: 40 }
    ));
});
