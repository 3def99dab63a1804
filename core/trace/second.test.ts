import { describe, expect, it } from 'vitest';
import { foundAt } from '../tests/stage/people';
import { scoreOf } from '../tests/stage/score';
import { randomOf, stageAt } from '../tests/stage/stages';
import { heardOf, type State } from '../tests/stage/whole';
import { dbOf } from './heard';
import { Trace } from './infer';

/** Stages that the tracing has not made: one whole network, faults put into it, people who answer. */

describe('the second simulator', () => {
  it('hears of a stage as planned what the tracing hears, from another network: to 5 dB where anything is heard', () => {
    for (let seed = 1; seed <= 12; seed++) {
      const { plan, lines, signs } = stageAt(randomOf(seed));
      const state: State = { plan, ohms: {}, times: {}, own: [], gainDb: 0 };
      const whole = heardOf(state, lines, signs);
      for (const line of lines) {
        const { power, hiss } = new Trace(plan, line).heardIn({ plan })!;
        // Supplies against each other may take away what the tracing, which thinks the worst, adds up.
        const [here, there] = [dbOf(whole.get(line.id)!.power), dbOf(power - hiss)];
        if (there < -120) continue;
        expect(here).toBeLessThan(there + 1);
        if (Object.keys(plan.supplies).length === 2 && new Set(Object.values(signs)).size > 1)
          expect(here).toBeGreaterThan(there - 5);
      }
    }
  });
  it('is the same for the same seed, and has what is on no list', () => {
    const told = (seed: number): string => JSON.stringify(foundAt(seed).answer('sound'));
    expect(told(7)).toBe(told(7));
    const kinds = Array.from({ length: 60 }, (_, k) => foundAt(k + 1).faults);
    expect(kinds.filter(([f]) => f.code === 'none').length).toBeGreaterThan(4);
    expect(kinds.filter((f) => f.length === 2).length).toBeGreaterThan(1);
  });
});

describe('a trace on stages that it did not make', () => {
  it('is right or says that it is none of these, as surely as it claims, in few tests, better than by custom', () => {
    // Figures of 2,000 are in the bench; these are as many as a test can wait for, with room for their chance.
    const score = scoreOf(150, 5001);
    expect(score.honest).toBeGreaterThan(0.84);
    expect(score.sure.told).toBeGreaterThan(75);
    expect(score.sure.right).toBeGreaterThan(0.86);
    expect(score.medianTests).toBeLessThanOrEqual(5);
    expect(score.right).toBeGreaterThan(score.byCustom + 0.2);
  }, 300_000);
});
