import { findOrder, type Order, type Pattern, SINGULAR, SingularError } from './order';

/**
 * Complex sparse LU with the pivot order and fill pattern found once, and the numbers refilled for each frequency.
 * Ordering: Markowitz with row-threshold pivoting (Duff, Erisman, Reid, Direct Methods for Sparse Matrices, ch. 7, 10).
 * Refill: row by row on the fixed pattern, as in circuit simulators since Nagel 1975.
 */

export class SparseLU {
  #order: Order | null = null;
  #lRe = new Float64Array(0);
  #lIm = new Float64Array(0);
  #uRe = new Float64Array(0);
  #uIm = new Float64Array(0);
  readonly #dRe: Float64Array;
  readonly #dIm: Float64Array;
  readonly #wRe: Float64Array;
  readonly #wIm: Float64Array;
  /** How often an order was looked for; more than once means a pivot went bad on the way. */
  orderings = 0;

  constructor(readonly pattern: Pattern) {
    const { n } = pattern;
    this.#dRe = new Float64Array(n);
    this.#dIm = new Float64Array(n);
    this.#wRe = new Float64Array(n);
    this.#wIm = new Float64Array(n);
  }

  /** Places of the factors beside the pivots: what one refill and one solve cost. */
  get fill(): number {
    return this.#lRe.length + this.#uRe.length;
  }

  /** Factors the matrix with these values. Reuses the order; finds a new one only when a pivot has become too small. */
  factor(re: Float64Array, im: Float64Array): void {
    if (this.#order && this.#refill(this.#order, re, im) < 0) return;
    this.#order = findOrder(this.pattern, re, im);
    this.orderings++;
    this.#lRe = new Float64Array(this.#order.lIdx.length);
    this.#lIm = new Float64Array(this.#order.lIdx.length);
    this.#uRe = new Float64Array(this.#order.uIdx.length);
    this.#uIm = new Float64Array(this.#order.uIdx.length);
    const bad = this.#refill(this.#order, re, im);
    if (bad >= 0) throw new SingularError(this.#order.rowAt[bad]);
  }

  /** @returns the step whose pivot is too small, or −1 when all is well */
  #refill(o: Order, re: Float64Array, im: Float64Array): number {
    const { n } = this.pattern;
    const wRe = this.#wRe;
    const wIm = this.#wIm;
    const dRe = this.#dRe;
    const dIm = this.#dIm;
    const { lPtr, lIdx, uPtr, uIdx, aPtr, aEntry, aCol } = o;
    const lRe = this.#lRe;
    const lIm = this.#lIm;
    const uRe = this.#uRe;
    const uIm = this.#uIm;
    for (let k = 0; k < n; k++) {
      for (let p = lPtr[k]; p < lPtr[k + 1]; p++) wRe[lIdx[p]] = wIm[lIdx[p]] = 0;
      wRe[k] = wIm[k] = 0;
      for (let p = uPtr[k]; p < uPtr[k + 1]; p++) wRe[uIdx[p]] = wIm[uIdx[p]] = 0;
      let largest = 0;
      for (let p = aPtr[k]; p < aPtr[k + 1]; p++) {
        const e = aEntry[p];
        const c = aCol[p];
        wRe[c] = re[e];
        wIm[c] = im[e];
        const size = Math.abs(re[e]) + Math.abs(im[e]);
        if (size > largest) largest = size;
      }
      for (let p = lPtr[k]; p < lPtr[k + 1]; p++) {
        const j = lIdx[p];
        // dRe, dIm hold the inverse of the pivot.
        const fr = wRe[j] * dRe[j] - wIm[j] * dIm[j];
        const fi = wRe[j] * dIm[j] + wIm[j] * dRe[j];
        lRe[p] = fr;
        lIm[p] = fi;
        if (fr === 0 && fi === 0) continue;
        for (let q = uPtr[j]; q < uPtr[j + 1]; q++) {
          const c = uIdx[q];
          wRe[c] -= fr * uRe[q] - fi * uIm[q];
          wIm[c] -= fr * uIm[q] + fi * uRe[q];
        }
      }
      const pr = wRe[k];
      const pi = wIm[k];
      const size = pr * pr + pi * pi;
      if (!(Math.sqrt(size) > SINGULAR * largest)) return k;
      dRe[k] = pr / size;
      dIm[k] = -pi / size;
      for (let p = uPtr[k]; p < uPtr[k + 1]; p++) {
        uRe[p] = wRe[uIdx[p]];
        uIm[p] = wIm[uIdx[p]];
      }
    }
    return -1;
  }

  /** Solves A·x = b in place; arrays of length n, in the order of the unknowns. */
  solve(xRe: Float64Array, xIm: Float64Array): void {
    const { rowAt, colAt, lPtr, lIdx, uPtr, uIdx } = this.#ready();
    const { n } = this.pattern;
    const [wRe, wIm, dRe, dIm] = [this.#wRe, this.#wIm, this.#dRe, this.#dIm];
    const [lRe, lIm, uRe, uIm] = [this.#lRe, this.#lIm, this.#uRe, this.#uIm];
    for (let k = 0; k < n; k++) {
      let r = xRe[rowAt[k]];
      let i = xIm[rowAt[k]];
      for (let p = lPtr[k]; p < lPtr[k + 1]; p++) {
        const j = lIdx[p];
        r -= lRe[p] * wRe[j] - lIm[p] * wIm[j];
        i -= lRe[p] * wIm[j] + lIm[p] * wRe[j];
      }
      wRe[k] = r;
      wIm[k] = i;
    }
    for (let k = n - 1; k >= 0; k--) {
      let r = wRe[k];
      let i = wIm[k];
      for (let p = uPtr[k]; p < uPtr[k + 1]; p++) {
        const j = uIdx[p];
        r -= uRe[p] * wRe[j] - uIm[p] * wIm[j];
        i -= uRe[p] * wIm[j] + uIm[p] * wRe[j];
      }
      wRe[k] = r * dRe[k] - i * dIm[k];
      wIm[k] = r * dIm[k] + i * dRe[k];
    }
    for (let k = 0; k < n; k++) {
      xRe[colAt[k]] = wRe[k];
      xIm[colAt[k]] = wIm[k];
    }
  }

  /** Solves the transposed system Aᵀ·x = b in place: one solve gives the transfer of every source to one output. */
  solveAdjoint(xRe: Float64Array, xIm: Float64Array): void {
    const { rowAt, colAt, lPtr, lIdx, uPtr, uIdx } = this.#ready();
    const { n } = this.pattern;
    const [wRe, wIm, dRe, dIm] = [this.#wRe, this.#wIm, this.#dRe, this.#dIm];
    const [lRe, lIm, uRe, uIm] = [this.#lRe, this.#lIm, this.#uRe, this.#uIm];
    for (let k = 0; k < n; k++) {
      wRe[k] = xRe[colAt[k]];
      wIm[k] = xIm[colAt[k]];
    }
    for (let k = 0; k < n; k++) {
      const r = wRe[k] * dRe[k] - wIm[k] * dIm[k];
      const i = wRe[k] * dIm[k] + wIm[k] * dRe[k];
      wRe[k] = r;
      wIm[k] = i;
      for (let p = uPtr[k]; p < uPtr[k + 1]; p++) {
        const j = uIdx[p];
        wRe[j] -= uRe[p] * r - uIm[p] * i;
        wIm[j] -= uRe[p] * i + uIm[p] * r;
      }
    }
    for (let k = n - 1; k >= 0; k--) {
      const r = wRe[k];
      const i = wIm[k];
      for (let p = lPtr[k]; p < lPtr[k + 1]; p++) {
        const j = lIdx[p];
        wRe[j] -= lRe[p] * r - lIm[p] * i;
        wIm[j] -= lRe[p] * i + lIm[p] * r;
      }
    }
    for (let k = 0; k < n; k++) {
      xRe[rowAt[k]] = wRe[k];
      xIm[rowAt[k]] = wIm[k];
    }
  }

  #ready(): Order {
    if (!this.#order) throw new Error('factor first');
    return this.#order;
  }
}
