/** A response on a grid, computed only as densely as it bends. */

/** What the cubic may miss a point by, dB; between points that it has not missed it is off by a sixteenth of that. */
const TOLERANCE = 0.02;
/** What bends more than this between two computed points is looked into whatever the cubic says, dB. */
const BEND = 0.2;
/** Below this nothing is left but rounding, dB. */
const FLOOR = -160;

/** Of how many points of a logarithmic grid one is always computed: two an octave or a few more. A power of two. */
export function alwaysOf(grid: Float64Array): number {
  const perOctave = Math.round(Math.LN2 / Math.log(grid[1] / grid[0]));
  return 2 ** Math.max(0, Math.round(Math.log2(perOctave / 2.5)));
}

/**
 * Values of several curves on a logarithmic grid. Every `always`-th point is computed. Where the cubic through the others
 * misses one by more than 0.02 dB, the points between are computed as well, halving on; the rest is interpolated.
 * @param at computes all curves at a grid point into `row`, in dB
 * @returns curves by [curve][point]
 */
export function sweepAdaptive(
  points: number,
  curves: number,
  at: (point: number, row: Float64Array) => void,
  always: number
): Float64Array[] {
  const stride = always * 2;
  const out = Array.from({ length: curves }, () => new Float64Array(points));
  const known = new Uint8Array(points);
  const row = new Float64Array(curves);
  const take = (k: number): void => {
    at(k, row);
    for (let c = 0; c < curves; c++) out[c][k] = row[c];
    known[k] = 1;
  };
  for (let k = 0; k < points; k += stride) take(k);
  if (!known[points - 1]) take(points - 1);
  // Intervals still to be looked into at the present step.
  let open = new Uint8Array(points);
  for (let k = 0; k + stride < points; k += stride) open[k] = 1;
  const rest = Math.floor((points - 1) / stride) * stride;
  for (let k = rest + 1; k < points; k++) if (!known[k]) take(k);
  for (let step = stride; step > 1; step /= 2) {
    const half = step / 2;
    const next = new Uint8Array(points);
    for (let k = 0; k + step < points; k += step) {
      if (!open[k] && half < always) continue;
      const m = k + half;
      take(m);
      if (!missed(out, known, k, step, m, points)) continue;
      for (const near of [k - half, k, m, m + half]) if (near >= 0 && near + half < points) next[near] = 1;
    }
    open = next;
  }
  fill(out, known);
  return out;
}

const floored = (db: number): number => (db > FLOOR ? db : FLOOR);

function missed(
  out: readonly Float64Array[],
  known: Uint8Array,
  k: number,
  step: number,
  m: number,
  points: number
): boolean {
  const left = k - step >= 0 && known[k - step] === 1;
  const right = k + 2 * step < points && known[k + 2 * step] === 1;
  for (const curve of out) {
    const b = floored(curve[k]);
    const c = floored(curve[k + step]);
    const a = left ? floored(curve[k - step]) : 0;
    const d = right ? floored(curve[k + 2 * step]) : 0;
    const guess =
      left && right
        ? (9 * (b + c) - a - d) / 16
        : left
          ? (3 * c + 6 * b - a) / 8
          : right
            ? (3 * b + 6 * c - d) / 8
            : (b + c) / 2;
    // Where it bends much the cubic may hit one point by chance and miss those beside it.
    if (Math.abs((b + c) / 2 - floored(curve[m])) > BEND) return true;
    // At the ends of the grid it has points on one side only, and misses more in between than where it is looked at.
    if (Math.abs(guess - floored(curve[m])) > (left && right ? TOLERANCE : TOLERANCE / 4)) return true;
  }
  return false;
}

/** Points left out, by the cubic through the four nearest known ones (Lagrange). */
function fill(out: readonly Float64Array[], known: Uint8Array): void {
  const at: number[] = [];
  for (let k = 0; k < known.length; k++) if (known[k]) at.push(k);
  const weight = new Float64Array(4);
  for (let i = 0; i + 1 < at.length; i++) {
    if (at[i + 1] === at[i] + 1) continue;
    const first = Math.min(Math.max(i - 1, 0), Math.max(at.length - 4, 0));
    const count = Math.min(4, at.length);
    for (let n = 0; n < count; n++) {
      weight[n] = 1;
      for (let j = 0; j < count; j++) if (j !== n) weight[n] /= at[first + n] - at[first + j];
    }
    for (let k = at[i] + 1; k < at[i + 1]; k++) {
      let all = 1;
      for (let n = 0; n < count; n++) all *= k - at[first + n];
      for (const curve of out) {
        let sum = 0;
        for (let n = 0; n < count; n++) sum += (weight[n] / (k - at[first + n])) * curve[at[first + n]];
        curve[k] = all * sum;
      }
    }
  }
}
