import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SOUNDS } from '../trace/hypotheses';
import { HARMONICS } from '../rig/stray';
import { analyse } from './analyse';
import { exampleOf, scaled } from './examples';
import { noiseOf } from './noise';

const RATE = 48_000;
const db = (power: number): number => 10 * Math.log10(power);

describe('the sound of what the network foresees', () => {
  it('has its harmonics as far apart as they are in the network, to half a decibel', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(50, 60),
        fc.array(fc.double({ min: -30, max: 0, noNaN: true }), { minLength: 6, maxLength: 6 }),
        (mains, levels) => {
          const harmonics = Array.from({ length: HARMONICS }, (_, k) => (k < 6 ? 1e-6 * 10 ** (levels[k] / 10) : 0));
          const samples = noiseOf({ harmonics, hiss: 1e-14, power: 1e-6, buzz: 0 }, 'hum', mains, RATE, 4);
          const { mains: found } = analyse(samples, RATE);
          expect(Math.abs(found.hz - mains)).toBeLessThan(0.05);
          const loudest = levels.indexOf(Math.max(...levels));
          for (let k = 0; k < 6; k++) {
            const apart = found.harmonics[k] - found.harmonics[loudest];
            expect(Math.abs(apart - (levels[k] - levels[loudest]))).toBeLessThan(0.5);
          }
        }
      ),
      { numRuns: 12 }
    ));
  it('its hiss stands as far under its hum as foreseen', () => {
    const harmonics = Array.from({ length: HARMONICS }, (_, k) => (k === 0 ? 1e-6 : 0));
    // Weighted by the ear, white noise is some two decibels less than it is.
    const samples = noiseOf({ harmonics, hiss: 1e-9, power: 1e-6, buzz: 0 }, 'hum', 50, RATE, 4);
    const found = analyse(samples, RATE);
    const under = found.mains.harmonics[0] - found.hissDb;
    expect(Math.abs(under - (db(1e-6) - db(1e-9 * 10 ** 0.2)))).toBeLessThan(2);
  });
  it('is the same each time, stays within what can be played, and is never empty', () => {
    const harmonics = Array.from({ length: HARMONICS }, (_, k) => 1e-8 / (k + 1));
    for (const sound of SOUNDS) {
      const make = (): Float32Array => noiseOf({ harmonics, hiss: 1e-12, power: 1e-8, buzz: 0 }, sound, 50, RATE, 0.5);
      const [a, b] = [make(), make()];
      expect(a).toEqual(b);
      const peak = a.reduce((most, v) => Math.max(most, Math.abs(v)), 0);
      expect(peak).toBeCloseTo(0.5, 5);
    }
  });
  it('nothing at all is silence, not a fault', () => {
    const silent = noiseOf({ harmonics: Array(HARMONICS).fill(0), hiss: 0, power: 0, buzz: 0 }, 'hum', 50, RATE, 0.5);
    expect(silent.every((v) => v === 0)).toBe(true);
    const found = analyse(silent, RATE);
    expect(found.heard).toEqual([]);
    expect(found.mains.hz).toBe(0);
  });
});

describe('examples', () => {
  it('no two sound alike: each is told as itself at either mains, and at the rate of any sound card', () => {
    for (const mains of [50, 60])
      for (const rate of [44_100, 96_000])
        for (const sound of SOUNDS)
          expect([sound, mains, rate, analyse(exampleOf(sound, mains, rate, 6), rate).heard[0].sound]).toEqual([
            sound,
            mains,
            rate,
            sound
          ]);
  });
  it('are brought to one level, silence left as it is', () => {
    expect(Array.from(scaled(Float32Array.from([0.1, -0.2])))).toEqual([0.25, -0.5]);
    expect(Array.from(scaled(new Float32Array(3)))).toEqual([0, 0, 0]);
  });
});
