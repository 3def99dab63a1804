import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SparseLU } from './sparse';
import { SingularError, type Pattern } from './order';

type Dense = { re: number; im: number }[][];

/** A random complex matrix, sparse off the diagonal and heavy enough on it to be well conditioned. */
const matrix = fc
  .record({
    n: fc.integer({ min: 1, max: 14 }),
    entries: fc.array(
      fc.record({
        r: fc.nat(),
        c: fc.nat(),
        re: fc.double({ min: -1, max: 1, noNaN: true }),
        im: fc.double({ min: -1, max: 1, noNaN: true })
      }),
      { maxLength: 60 }
    ),
    shift: fc.nat()
  })
  .map(({ n, entries, shift }) => {
    const a: Dense = Array.from({ length: n }, () => Array.from({ length: n }, () => ({ re: 0, im: 0 })));
    // A cyclic permutation of the heavy entries: pivots do not lie on the diagonal.
    for (let k = 0; k < n; k++) a[k][(k + shift) % n] = { re: 8, im: k % 3 };
    for (const { r, c, re, im } of entries) {
      const cell = a[r % n][c % n];
      cell.re += re / 4;
      cell.im += im / 4;
    }
    return a;
  });

function compile(a: Dense): { pattern: Pattern; re: Float64Array; im: Float64Array } {
  const row: number[] = [];
  const col: number[] = [];
  const re: number[] = [];
  const im: number[] = [];
  a.forEach((cells, r) =>
    cells.forEach((cell, c) => {
      if (cell.re === 0 && cell.im === 0) return;
      row.push(r);
      col.push(c);
      re.push(cell.re);
      im.push(cell.im);
    })
  );
  return {
    pattern: { n: a.length, row: Int32Array.from(row), col: Int32Array.from(col) },
    re: Float64Array.from(re),
    im: Float64Array.from(im)
  };
}

/** Largest |A·x − b|, or |Aᵀ·x − b|. */
function residual(
  a: Dense,
  x: [Float64Array, Float64Array],
  b: [Float64Array, Float64Array],
  transposed: boolean
): number {
  let worst = 0;
  for (let r = 0; r < a.length; r++) {
    let re = -b[0][r];
    let im = -b[1][r];
    for (let c = 0; c < a.length; c++) {
      const cell = transposed ? a[c][r] : a[r][c];
      re += cell.re * x[0][c] - cell.im * x[1][c];
      im += cell.re * x[1][c] + cell.im * x[0][c];
    }
    worst = Math.max(worst, Math.hypot(re, im));
  }
  return worst;
}
const rhs = (n: number): [Float64Array, Float64Array] => [
  Float64Array.from({ length: n }, (_, k) => Math.sin(k + 1)),
  Float64Array.from({ length: n }, (_, k) => Math.cos(2 * k))
];

describe('sparse LU', () => {
  it('solves the system and its transpose', () =>
    fc.assert(
      fc.property(matrix, (a) => {
        const { pattern, re, im } = compile(a);
        const lu = new SparseLU(pattern);
        lu.factor(re, im);
        for (const transposed of [false, true]) {
          const b = rhs(a.length);
          const x: [Float64Array, Float64Array] = [b[0].slice(), b[1].slice()];
          if (transposed) lu.solveAdjoint(...x);
          else lu.solve(...x);
          expect(residual(a, x, b, transposed)).toBeLessThan(1e-11);
        }
      }),
      { numRuns: 400 }
    ));

  it('keeps its order while the numbers move, and finds another when a pivot dies', () => {
    // [[x, 1], [1, 1]]: the corner is the pivot until it vanishes.
    const pattern = { n: 2, row: Int32Array.from([0, 0, 1, 1]), col: Int32Array.from([0, 1, 0, 1]) };
    const lu = new SparseLU(pattern);
    const zero = new Float64Array(4);
    lu.factor(Float64Array.from([5, 1, 1, 1]), zero);
    lu.factor(Float64Array.from([3, 1, 1, 1]), zero);
    expect(lu.orderings).toBe(1);
    for (const corner of [0, 1e-20]) {
      const values = Float64Array.from([corner, 1, 1, 1]);
      lu.factor(values, zero);
      const x: [Float64Array, Float64Array] = [Float64Array.from([1, 2]), new Float64Array(2)];
      lu.solve(...x);
      expect(x[0][0]).toBeCloseTo(1, 12);
      expect(x[0][1]).toBeCloseTo(1, 12);
    }
    expect(lu.orderings).toBeGreaterThan(1);
  });

  it('names an unknown that nothing determines', () => {
    const pattern = { n: 2, row: Int32Array.from([0, 0, 1, 1]), col: Int32Array.from([0, 1, 0, 1]) };
    expect(() => new SparseLU(pattern).factor(Float64Array.from([1, 2, 2, 4]), new Float64Array(4))).toThrow(
      SingularError
    );
  });

  it('fills in little on a long chain', () => {
    const n = 400;
    const row: number[] = [];
    const col: number[] = [];
    const re: number[] = [];
    for (let k = 0; k < n; k++)
      for (const j of [k - 1, k, k + 1]) {
        if (j < 0 || j >= n) continue;
        row.push(k);
        col.push(j);
        re.push(j === k ? 2.1 : -1);
      }
    const lu = new SparseLU({ n, row: Int32Array.from(row), col: Int32Array.from(col) });
    lu.factor(Float64Array.from(re), new Float64Array(re.length));
    // A chain ordered from its ends has one entry beside each pivot on either side.
    expect(lu.fill).toBeLessThanOrEqual(2 * (n - 1));
  });
});
