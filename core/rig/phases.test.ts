import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SolvedRig } from '../judge/solved-rig';
import type { Plan } from '../plan/schema';
import { show } from '../tests/plans';
import { plan as anyPlan } from '../tests/arbitrary';
import { RigHum } from './hum';
import type { Phase } from './stray';

/** Every other mains-fed device goes to the stage's supply. */
function spread(plan: Plan): Plan {
  Object.values(plan.devices)
    .filter((d) => d.supply !== undefined)
    .forEach((d, k) => k % 2 === 0 && (d.supply = 'stage'));
  return plan;
}
/** A plan with each supply on a phase. */
function on(plan: Plan, phase: (k: number) => Phase | undefined): Plan {
  const supplies = Object.entries(plan.supplies).map(([id, s], k) => [id, { ...s, phase: phase(k) }]);
  return { ...plan, supplies: Object.fromEntries(supplies) };
}
const spectra = (plan: Plan): Map<string, Float64Array> =>
  new Map([...new SolvedRig(plan).solved()].flatMap(([id, { hum }]) => (hum ? [[id, hum.spectrum] as const] : [])));

describe('phases of supplies', () => {
  it('what is not known counts as in phase; every third harmonic is in phase whatever they are', () =>
    fc.assert(
      fc.property(anyPlan.map(spread), (plan) => {
        const [unknown, first, three] = [
          on(plan, () => undefined),
          on(plan, () => 1),
          on(plan, (k) => ((k % 3) + 1) as Phase)
        ].map(spectra);
        for (const [id, spectrum] of unknown) {
          expect(first.get(id)).toEqual(spectrum);
          for (const h of [3, 9, 15]) {
            const [a, b] = [spectrum[h - 1], three.get(id)![h - 1]];
            expect(Math.abs(a - b)).toBeLessThan(1e-12 + a * 1e-6);
          }
        }
      }),
      { numRuns: 25 }
    ));
  it('three alike on three phases cancel where their currents meet, on one phase they add up', () => {
    // Two-pin sources into a desk that is two-pin as well: all their currents go through its own small capacitance.
    const plan = show(
      ['A: keyboard two-pin, 3 m, line 1'],
      ['B: keyboard two-pin, 3 m, line 2'],
      ['C: keyboard two-pin, 3 m, line 3']
    );
    plan.policy.ambient = 'none';
    plan.supplies = Object.fromEntries(
      ['a', 'b', 'c'].map((id) => [id, { name: id, emf: 0, ohm: 0.2, dimmers: false }])
    );
    plan.hosts.desk = { ...plan.hosts.desk, feed: 'battery' };
    delete plan.hosts.desk.supply;
    Object.values(plan.devices)
      .filter((d) => d.model === 'line-unbalanced')
      .forEach((d, k) => (d.supply = 'abc'[k % 3]));
    const chassis = (p: Plan): number => {
      const rig = new RigHum(p, new SolvedRig(p).everything().hums);
      return Math.hypot(...rig.earths('host:desk').reduce((sum, [re, im]) => [sum[0] + re, sum[1] + im], [0, 0]));
    };
    const [together, apart] = [on(plan, () => 1), on(plan, (k) => (k + 1) as Phase)].map(chassis);
    expect(together).toBeGreaterThan(50);
    expect(apart / together).toBeLessThan(0.01);
  });
});
