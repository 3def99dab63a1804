/** A square complex matrix on a fixed pattern: entry e sits at (row[e], col[e]). */
export interface Pattern {
  readonly n: number;
  readonly row: Int32Array;
  readonly col: Int32Array;
}

/** Smallest share of its row's largest entry that a pivot may have: below it, fill is saved at the cost of digits. */
const THRESHOLD = 0.05;
/** A pivot smaller than this share of its row's own entries is rounding, not conductance. */
export const SINGULAR = 1e-14;
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
export interface Order {
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

/** What is left of the matrix while pivots are chosen: short rows as plain lists, which beat maps at this length. */
interface Left {
  readonly col: number[][];
  readonly re: number[][];
  readonly im: number[][];
  /** Rows that have an entry in a column. */
  readonly rowsOf: number[][];
  /** Largest entry that each row came with. */
  readonly scale: Float64Array;
  /** Rows by how many entries they have, as linked lists; −1 ends one. */
  readonly head: Int32Array;
  readonly next: Int32Array;
  readonly before: Int32Array;
}

function leftOf({ n, row, col }: Pattern, re: Float64Array, im: Float64Array): Left {
  const lists = (): number[][] => Array.from({ length: n }, () => []);
  const left: Left = {
    col: lists(),
    re: lists(),
    im: lists(),
    rowsOf: lists(),
    scale: new Float64Array(n),
    head: new Int32Array(n + 1).fill(-1),
    next: new Int32Array(n).fill(-1),
    before: new Int32Array(n).fill(-1)
  };
  for (let e = 0; e < row.length; e++) {
    const r = row[e];
    left.col[r].push(col[e]);
    left.re[r].push(re[e]);
    left.im[r].push(im[e]);
    left.rowsOf[col[e]].push(r);
    const size = Math.abs(re[e]) + Math.abs(im[e]);
    if (size > left.scale[r]) left.scale[r] = size;
  }
  for (let r = n - 1; r >= 0; r--) enlist(left, r);
  return left;
}

function enlist({ col, head, next, before }: Left, r: number): void {
  const size = col[r].length;
  next[r] = head[size];
  before[r] = -1;
  if (next[r] >= 0) before[next[r]] = r;
  head[size] = r;
}

function delist({ col, head, next, before }: Left, r: number): void {
  if (before[r] >= 0) next[before[r]] = next[r];
  else head[col[r].length] = next[r];
  if (next[r] >= 0) before[next[r]] = before[r];
}

function drop(list: number[], at: number): void {
  list[at] = list[list.length - 1];
  list.pop();
}

/** @returns the pivot's row; its column goes to `colAt[k]` */
function pickPivot({ col, re, im, rowsOf, scale, head, next }: Left, colAt: Int32Array, k: number): number {
  let best = -1;
  let cost = Infinity;
  let looked = 0;
  for (let size = 0; size < head.length; size++) {
    for (let r = head[size]; r >= 0; r = next[r]) {
      const cols = col[r];
      let largest = 0;
      for (let p = 0; p < size; p++) {
        const entry = Math.abs(re[r][p]) + Math.abs(im[r][p]);
        if (entry > largest) largest = entry;
      }
      if (!(largest > SINGULAR * scale[r])) throw new SingularError(r);
      for (let p = 0; p < size; p++) {
        if (Math.abs(re[r][p]) + Math.abs(im[r][p]) < THRESHOLD * largest) continue;
        const fill = (size - 1) * (rowsOf[cols[p]].length - 1);
        if (fill < cost) {
          cost = fill;
          best = r;
          colAt[k] = cols[p];
        }
      }
      if (++looked >= LOOK || cost === 0) break;
    }
    if (best >= 0 && (looked >= LOOK || cost <= size * size)) break;
  }
  if (best < 0) throw new SingularError(0);
  return best;
}

function pack(lists: readonly number[][]): [Int32Array, Int32Array] {
  const pointer = new Int32Array(lists.length + 1);
  lists.forEach((list, k) => (pointer[k + 1] = pointer[k] + list.length));
  const flat = new Int32Array(pointer[lists.length]);
  lists.forEach((list, k) => flat.set(list, pointer[k]));
  return [pointer, flat];
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

/** Chooses pivots on actual values, then writes down the fill pattern they cause. */
export function findOrder(pattern: Pattern, re: Float64Array, im: Float64Array): Order {
  const { n } = pattern;
  const left = leftOf(pattern, re, im);
  const rowAt = new Int32Array(n);
  const colAt = new Int32Array(n);
  const lower: number[][] = Array.from({ length: n }, () => []);
  const upper: number[][] = [];
  for (let k = 0; k < n; k++) {
    const r = pickPivot(left, colAt, k);
    const c = colAt[k];
    rowAt[k] = r;
    delist(left, r);
    const cols = left.col[r];
    const uRe = left.re[r];
    const uIm = left.im[r];
    const at = cols.indexOf(c);
    const pr = uRe[at];
    const pi = uIm[at];
    const size = pr * pr + pi * pi;
    drop(cols, at);
    drop(uRe, at);
    drop(uIm, at);
    for (let q = 0; q < cols.length; q++) drop(left.rowsOf[cols[q]], left.rowsOf[cols[q]].indexOf(r));
    upper.push(cols);
    for (const i of left.rowsOf[c]) {
      if (i === r) continue;
      delist(left, i);
      lower[i].push(k);
      const tCol = left.col[i];
      const tRe = left.re[i];
      const tIm = left.im[i];
      const h = tCol.indexOf(c);
      const fr = (tRe[h] * pr + tIm[h] * pi) / size;
      const fi = (tIm[h] * pr - tRe[h] * pi) / size;
      drop(tCol, h);
      drop(tRe, h);
      drop(tIm, h);
      for (let q = 0; q < cols.length; q++) {
        const dr = fr * uRe[q] - fi * uIm[q];
        const di = fr * uIm[q] + fi * uRe[q];
        const t = tCol.indexOf(cols[q]);
        if (t >= 0) {
          tRe[t] -= dr;
          tIm[t] -= di;
        } else {
          tCol.push(cols[q]);
          tRe.push(-dr);
          tIm.push(-di);
          left.rowsOf[cols[q]].push(i);
        }
      }
      enlist(left, i);
    }
    left.rowsOf[c].length = 0;
  }
  return compress(pattern, rowAt, colAt, lower, upper);
}
