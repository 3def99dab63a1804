import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bandLevel, interpolate, logGrid, refineAround } from './grid';

describe('the frequency grid', () => {
  it('runs from 20 Hz to 20 kHz in even steps of a 24th of an octave', () => {
    const hz = logGrid();
    expect(hz[0]).toBe(20);
    expect(hz[hz.length - 1]).toBeCloseTo(20000, 8);
    const ratio = hz[1] / hz[0];
    expect(Math.log2(ratio)).toBeCloseTo(1 / 24, 3);
    for (let k = 1; k < hz.length; k++) expect(hz[k] / hz[k - 1]).toBeCloseTo(ratio, 9);
  });

  it('is refined round a sharp peak, and left alone where nothing stands out', () => {
    const hz = logGrid();
    const bell = (q: number) => hz.map((f) => -10 * Math.log10(1 + (q * (f / 3000 - 3000 / f)) ** 2));
    const extra = refineAround(hz, bell(5));
    expect(extra.length).toBe(10);
    expect(Math.min(...extra)).toBeGreaterThan(2800);
    expect(Math.max(...extra)).toBeLessThan(3200);
    expect(new Set([...extra, ...hz]).size).toBe(hz.length + 10);
    expect(
      refineAround(
        hz,
        hz.map((f) => -f / 1000)
      )
    ).toEqual([]);
    expect(
      refineAround(
        hz,
        hz.map(() => 0)
      )
    ).toEqual([]);
    expect(refineAround(hz, bell(0.1))).toEqual([]);
  });
});

describe('reading values off it', () => {
  const hz = logGrid(6);
  it('interpolates a straight line in log frequency exactly, and stays inside elsewhere', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 20000, noNaN: true }),
        fc.double({ min: -30, max: 30, noNaN: true }),
        (f, slope) => {
          const line = hz.map((x) => slope * Math.log2(x / 20));
          expect(interpolate(hz, line, f)).toBeCloseTo(slope * Math.log2(f / 20), 6);
        }
      )
    ));
  it('ends where the grid ends', () => {
    const values = hz.map((_, k) => k);
    expect(interpolate(hz, values, 1)).toBe(0);
    expect(interpolate(hz, values, 1e6)).toBe(values.length - 1);
    expect(
      interpolate(
        hz,
        hz.map(() => -Infinity),
        500
      )
    ).toBe(-Infinity);
  });
  it('the level over a band is the mean of power, not of decibels', () => {
    const flat = hz.map(() => -6);
    expect(bandLevel(hz, flat, 100, 1000)).toBeCloseTo(-6, 9);
    const half = logGrid(96);
    const split = half.map((f) => (f < Math.sqrt(100 * 1000) ? 0 : -200));
    expect(bandLevel(half, split, 100, 1000)).toBeCloseTo(10 * Math.log10(0.5), 1);
    expect(
      bandLevel(
        hz,
        hz.map(() => -Infinity),
        100,
        1000
      )
    ).toBe(-Infinity);
    // Narrower than the grid: the value in its middle.
    expect(bandLevel(hz, flat, 500, 501)).toBeCloseTo(-6, 9);
  });
});
