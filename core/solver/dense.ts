import { SingularError } from './order';

/**
 * A small dense complex matrix, factored in place by Gaussian elimination with row exchange.
 * For the few nodes at which the parts of a rig meet; networks of parts go to the sparse solver.
 */
export class DenseLU {
  readonly re: Float64Array;
  readonly im: Float64Array;
  readonly #row: Int32Array;
  readonly #yRe: Float64Array;
  readonly #yIm: Float64Array;

  constructor(readonly n: number) {
    this.re = new Float64Array(n * n);
    this.im = new Float64Array(n * n);
    this.#yRe = new Float64Array(n);
    this.#yIm = new Float64Array(n);
    this.#row = Int32Array.from({ length: n }, (_, k) => k);
  }

  add(row: number, col: number, re: number, im = 0): void {
    this.re[row * this.n + col] += re;
    this.im[row * this.n + col] += im;
  }

  /** @throws SingularError naming the column without a pivot */
  factor(): this {
    const { n, re, im } = this;
    const row = this.#row;
    for (let k = 0; k < n; k++) {
      let best = k;
      let size = -1;
      for (let r = k; r < n; r++) {
        const at = row[r] * n + k;
        const here = re[at] * re[at] + im[at] * im[at];
        if (here > size) [size, best] = [here, r];
      }
      if (!(size > 0)) throw new SingularError(k);
      [row[k], row[best]] = [row[best], row[k]];
      const p = row[k] * n;
      for (let r = k + 1; r < n; r++) {
        const t = row[r] * n;
        if (re[t + k] === 0 && im[t + k] === 0) continue;
        const fr = (re[t + k] * re[p + k] + im[t + k] * im[p + k]) / size;
        const fi = (im[t + k] * re[p + k] - re[t + k] * im[p + k]) / size;
        re[t + k] = fr;
        im[t + k] = fi;
        for (let c = k + 1; c < n; c++) {
          re[t + c] -= fr * re[p + c] - fi * im[p + c];
          im[t + c] -= fr * im[p + c] + fi * re[p + c];
        }
      }
    }
    return this;
  }

  /** Solves for one right-hand side, in place. @param from where it begins in the arrays */
  solve(xRe: Float64Array, xIm: Float64Array, from = 0): void {
    const { n, re, im } = this;
    const row = this.#row;
    const [yRe, yIm] = [this.#yRe, this.#yIm];
    for (let k = 0; k < n; k++) {
      let r = xRe[from + row[k]];
      let i = xIm[from + row[k]];
      const t = row[k] * n;
      for (let c = 0; c < k; c++) {
        r -= re[t + c] * yRe[c] - im[t + c] * yIm[c];
        i -= re[t + c] * yIm[c] + im[t + c] * yRe[c];
      }
      yRe[k] = r;
      yIm[k] = i;
    }
    for (let k = n - 1; k >= 0; k--) {
      const t = row[k] * n;
      let r = yRe[k];
      let i = yIm[k];
      for (let c = k + 1; c < n; c++) {
        r -= re[t + c] * xRe[from + c] - im[t + c] * xIm[from + c];
        i -= re[t + c] * xIm[from + c] + im[t + c] * xRe[from + c];
      }
      const size = re[t + k] * re[t + k] + im[t + k] * im[t + k];
      xRe[from + k] = (r * re[t + k] + i * im[t + k]) / size;
      xIm[from + k] = (i * re[t + k] - r * im[t + k]) / size;
    }
  }
}
