import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { logGrid } from './grid';
import { alwaysOf, sweepAdaptive } from './sweep';

const GRID = logGrid();
/** A second-order resonance, dB. */
const resonance = (f0: number, q: number) => (f: number) => {
  const x = f / f0;
  return -10 * Math.log10((1 - x * x) ** 2 + (x / q) ** 2);
};
const sweep = (curves: ((f: number) => number)[], grid = GRID) => {
  let asked = 0;
  const out = sweepAdaptive(
    grid.length,
    curves.length,
    (k, row) => {
      asked++;
      curves.forEach((c, n) => (row[n] = c(grid[k])));
    },
    alwaysOf(grid)
  );
  return { out, asked };
};

describe('a sweep that looks where the curve bends', () => {
  it('draws any resonance to a twentieth of a decibel', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 30, max: 15000, noNaN: true }),
        fc.double({ min: 0.3, max: 12, noNaN: true }),
        (f0, q) => {
          const curve = resonance(f0, q);
          const { out } = sweep([curve]);
          GRID.forEach((f, k) => expect(Math.abs(out[0][k] - curve(f))).toBeLessThan(0.05));
        }
      )
    ));
  it('draws one at either end of the grid as well, where there are points on one side only', () => {
    for (const [f0, q] of [
      [14957.489140441803, 2.0436301394329486],
      [14000, 2.5],
      [19000, 3],
      [30, 0.5],
      [24, 3]
    ]) {
      const curve = resonance(f0, q);
      const { out } = sweep([curve]);
      GRID.forEach((f, k) => expect(Math.abs(out[0][k] - curve(f))).toBeLessThan(0.05));
    }
  });
  it('asks a fifth of the points of a straight line, more of a peak, all of none', () => {
    const flat = sweep([() => -6]).asked;
    const peak = sweep([resonance(3000, 6)]).asked;
    expect(flat).toBeLessThan(GRID.length / 4);
    expect(peak).toBeGreaterThan(flat);
    expect(peak).toBeLessThan(GRID.length);
  });
  it('follows the most demanding of several curves, and computes no point twice', () => {
    const seen = new Set<number>();
    sweepAdaptive(
      GRID.length,
      2,
      (k, row) => {
        expect(seen.has(k)).toBe(false);
        seen.add(k);
        row[0] = 0;
        row[1] = resonance(500, 8)(GRID[k]);
      },
      alwaysOf(GRID)
    );
    expect(seen.has(0) && seen.has(GRID.length - 1)).toBe(true);
  });
  it('takes silence for silence: below −160 dB nothing is looked into', () => {
    const noise = (f: number) => -300 - 30 * Math.sin(f);
    expect(sweep([noise]).asked).toBe(sweep([() => 0]).asked);
  });
  it.each([3, 4, 6, 12, 24])('at %d points an octave, every grid is filled', (perOctave) => {
    const grid = logGrid(perOctave);
    const { out } = sweep([resonance(1000, 1)], grid);
    expect(out[0].every(Number.isFinite)).toBe(true);
  });
});
