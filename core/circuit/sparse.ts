/**
 * Complex sparse LU with the pivot order and fill pattern found once, and the numbers refilled for each frequency.
 * Ordering: Markowitz with row-threshold pivoting (Duff, Erisman, Reid, Direct Methods for Sparse Matrices, ch. 7, 10).
 * Refill: row by row on the fixed pattern, as in circuit simulators since Nagel 1975.
 */

/** A square complex matrix on a fixed pattern: entry e sits at (row[e], col[e]). */
export interface Pattern {
  readonly n: number;
  readonly row: Int32Array;
  readonly col: Int32Array;
}

/** Smallest share of its row's largest entry that a pivot may have: below it, fill is saved at the cost of digits. */
const THRESHOLD = 0.05;
/** A pivot smaller than this share of its row's own entries is rounding, not conductance. */
const SINGULAR = 1e-14;
/** How many of the shortest rows are looked at for a pivot. */
const LOOK = 4;

export class SingularError extends Error {
  constructor(
    /** Index of an unknown that nothing determines. */
    readonly unknown: number
  ) {
    super(`singular at unknown ${unknown}`);
  }
}

/** The once-only part: where pivots are and which places fill in. All arrays are in pivot order. */
interface Order {
  readonly rowAt: Int32Array;
  readonly colAt: Int32Array;
  readonly lPtr: Int32Array;
  readonly lIdx: Int32Array;
  readonly uPtr: Int32Array;
  readonly uIdx: Int32Array;
  /** For each matrix entry, grouped by pivot row: entry number and its column in pivot order. */
  readonly aPtr: Int32Array;
  readonly aEntry: Int32Array;
  readonly aCol: Int32Array;
}

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

type Cell = { re: number; im: number };

/** Chooses pivots on actual values, then writes down the fill pattern they cause. */
function findOrder(pattern: Pattern, re: Float64Array, im: Float64Array): Order {
  const { n, row, col } = pattern;
  const rows: Map<number, Cell>[] = Array.from({ length: n }, () => new Map<number, Cell>());
  const cols: Set<number>[] = Array.from({ length: n }, () => new Set<number>());
  const scale = new Float64Array(n);
  for (let e = 0; e < row.length; e++) {
    rows[row[e]].set(col[e], { re: re[e], im: im[e] });
    cols[col[e]].add(row[e]);
    scale[row[e]] = Math.max(scale[row[e]], Math.abs(re[e]) + Math.abs(im[e]));
  }
  const buckets: Set<number>[] = [];
  const bucket = (size: number): Set<number> => (buckets[size] ??= new Set<number>());
  for (let r = 0; r < n; r++) bucket(rows[r].size).add(r);

  const rowAt = new Int32Array(n);
  const colAt = new Int32Array(n);
  const lower: number[][] = Array.from({ length: n }, () => []);
  const upper: number[][] = [];
  for (let k = 0; k < n; k++) {
    const [r, c] = pickPivot(rows, cols, buckets, scale);
    rowAt[k] = r;
    colAt[k] = c;
    const pivotRow = rows[r];
    const pivot = pivotRow.get(c)!;
    const size = pivot.re * pivot.re + pivot.im * pivot.im;
    bucket(pivotRow.size).delete(r);
    pivotRow.delete(c);
    cols[c].delete(r);
    for (const j of pivotRow.keys()) cols[j].delete(r);
    upper.push([...pivotRow.keys()]);
    for (const i of cols[c]) {
      const target = rows[i];
      bucket(target.size).delete(i);
      const head = target.get(c)!;
      target.delete(c);
      lower[i].push(k);
      const fr = (head.re * pivot.re + head.im * pivot.im) / size;
      const fi = (head.im * pivot.re - head.re * pivot.im) / size;
      for (const [j, u] of pivotRow) {
        const dr = fr * u.re - fi * u.im;
        const di = fr * u.im + fi * u.re;
        const cell = target.get(j);
        if (cell) {
          cell.re -= dr;
          cell.im -= di;
        } else {
          target.set(j, { re: -dr, im: -di });
          cols[j].add(i);
        }
      }
      bucket(target.size).add(i);
    }
    cols[c].clear();
  }
  return compress(pattern, rowAt, colAt, lower, upper);
}

function pickPivot(
  rows: Map<number, Cell>[],
  cols: Set<number>[],
  buckets: Set<number>[],
  scale: Float64Array
): [number, number] {
  let best: [number, number] | null = null;
  let cost = Infinity;
  let looked = 0;
  for (let size = 0; size < buckets.length; size++) {
    for (const r of buckets[size] ?? []) {
      let largest = 0;
      for (const cell of rows[r].values()) largest = Math.max(largest, Math.hypot(cell.re, cell.im));
      if (!(largest > SINGULAR * scale[r])) throw new SingularError(r);
      for (const [c, cell] of rows[r]) {
        if (Math.hypot(cell.re, cell.im) < THRESHOLD * largest) continue;
        const fill = (size - 1) * (cols[c].size - 1);
        if (fill < cost) {
          cost = fill;
          best = [r, c];
        }
      }
      if (++looked >= LOOK || cost === 0) break;
    }
    if (best && (looked >= LOOK || cost <= size * size)) break;
  }
  if (!best) throw new SingularError(0);
  return best;
}

function compress(pattern: Pattern, rowAt: Int32Array, colAt: Int32Array, lower: number[][], upper: number[][]): Order {
  const { n, row, col } = pattern;
  const colPos = new Int32Array(n);
  const rowPos = new Int32Array(n);
  for (let k = 0; k < n; k++) {
    colPos[colAt[k]] = k;
    rowPos[rowAt[k]] = k;
  }
  const [lPtr, lIdx] = pack(Array.from(rowAt, (r) => lower[r]));
  const [uPtr, uIdx] = pack(upper.map((list) => list.map((c) => colPos[c]).sort((a, b) => a - b)));
  const entries: number[][] = Array.from({ length: n }, () => []);
  for (let e = 0; e < row.length; e++) entries[rowPos[row[e]]].push(e);
  const [aPtr, aEntry] = pack(entries);
  const aCol = aEntry.map((e) => colPos[col[e]]);
  return { rowAt, colAt, lPtr, lIdx, uPtr, uIdx, aPtr, aEntry, aCol };
}

function pack(lists: readonly number[][]): [Int32Array, Int32Array] {
  const pointer = new Int32Array(lists.length + 1);
  lists.forEach((list, k) => (pointer[k + 1] = pointer[k] + list.length));
  const flat = new Int32Array(pointer[lists.length]);
  lists.forEach((list, k) => flat.set(list, pointer[k]));
  return [pointer, flat];
}
