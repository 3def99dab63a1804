import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { saltRoad } from '../../src/lib/server/demo-shows';
import { factorOf, foreseen, isDangerous, type Measured, narrowed, rangeOf } from './belief';

const between: Measured = { kind: 'volts', supplies: ['stage-left', 'platform'], volts: 0.9 };

describe('what is believed of the EMFs', () => {
  it('a reading moves what is foreseen towards itself, and narrows what it speaks of and nothing else', () =>
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 20, noNaN: true }), (times) => {
        const plan = saltRoad();
        const now = foreseen(plan, between);
        const beliefs = narrowed(plan, { ...between, volts: now * times });
        for (const [id, b] of Object.entries(beliefs)) Object.assign(plan.supplies[id], b);
        const then = foreseen(plan, between);
        expect(Math.abs(Math.log(then / (now * times)))).toBeLessThanOrEqual(Math.abs(Math.log(times)) + 0.01);
        expect(beliefs.platform.spread).toBeLessThan(1.4);
        expect(beliefs['stage-right'].emf).toBe(0.04);
        expect(beliefs['stage-right'].spread).toBeCloseTo(3, 9);
      })
    ));
  it('a clamp on a shield and a level at an input say the same of the EMF behind them', () => {
    const plan = saltRoad();
    for (const what of [
      { kind: 'clamp', cable: 'l-6-lead', ampere: 0 },
      { kind: 'level', line: 'l-6-in', volts: 0 }
    ] as const) {
      const now = foreseen(plan, what);
      const twice: Measured = what.kind === 'clamp' ? { ...what, ampere: 2 * now } : { ...what, volts: 2 * now };
      const beliefs = narrowed(plan, twice);
      expect(beliefs.platform.emf).toBeGreaterThan(0.5);
      expect(beliefs.platform.emf).toBeLessThan(0.7);
      expect(beliefs.platform.spread).toBeLessThan(1.4);
    }
  });
  it('an EMF is known within a factor of three until something is measured', () => {
    const plan = saltRoad();
    expect([factorOf(plan, 'platform'), rangeOf(plan, 'platform')]).toEqual([3, [0.3 / 3, 0.3 * 3]]);
    expect(narrowed(plan, { ...between, volts: 0 }).platform).toEqual({ emf: 0.3, spread: 3 });
  });

  it('what is no matter of hum: from 25 V between metal parts, from an ampere in a shield; never a level', () => {
    const volts = (v: number) => isDangerous({ kind: 'volts', supplies: ['a', 'b'], volts: v });
    const clamp = (ampere: number) => isDangerous({ kind: 'clamp', cable: 'c', ampere });
    expect([volts(24.999), volts(25), clamp(0.999), clamp(1)]).toEqual([false, true, false, true]);
    expect(isDangerous({ kind: 'level', line: 'l', volts: 80 })).toBe(false);
  });
});
