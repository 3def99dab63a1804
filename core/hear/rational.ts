import { EigenvalueDecomposition, Matrix, QrDecomposition } from 'ml-matrix';

/**
 * A response as a filter that runs: fitted by a rational function of z over the audio band, so that it is causal by its form and
 * has the response's true phase. Vector fitting with the poles in the z plane (Gustavsen and Semlyen, “Rational approximation of
 * frequency domain responses by vector fitting”, IEEE Trans. Power Delivery 14, 1999; Mekonnen and Schutt-Aine, 2007, for z).
 */

/** A response by samples: hertz, rising, and its real and imaginary parts. */
export interface Curve {
  readonly hz: Float64Array;
  readonly re: Float64Array;
  readonly im: Float64Array;
}
/** A pole with its residue; of a complex pair the one above the real axis. */
interface Pole {
  readonly re: number;
  readonly im: number;
  readonly rRe: number;
  readonly rIm: number;
}
/** d + Σ r ÷ (z − p). */
export interface Rational {
  readonly rate: number;
  readonly direct: number;
  readonly poles: readonly Pole[];
  /** What it misses the curve by between 20 Hz and 20 kHz at most, dB and degrees. */
  readonly missDb: number;
  readonly missDegrees: number;
}

/** Good enough: well below what is promised, 0.05 dB and 1°. */
const GOOD_DB = 0.01;
const GOOD_DEGREES = 0.15;
const ORDERS = [4, 8, 12, 16, 20, 26] as const;
const ROUNDS = 7;
/** What is this far below the loudest is not to be met to the hundredth, dB. */
const QUIET_DB = -70;
/** Between these it is held to the curve, hertz. */
const LOW = 20;
const HIGH = 20_000;

/** The pole of a pair, or a real one (im 0). */
type Place = readonly [re: number, im: number];

/** @param rate samples a second */
export function fitRational(curve: Curve, rate: number): Rational {
  const { hz, re, im } = curve;
  const peak = hz.reduce((most, _, k) => Math.max(most, Math.hypot(re[k], im[k])), 0);
  // Nothing arrives: silence needs no poles.
  if (!(peak > 0)) return { rate, direct: 0, poles: [], missDb: 0, missDegrees: 0 };
  let best: Rational | null = null;
  for (const order of ORDERS) {
    const fit = fitOrder(curve, rate, order, peak);
    if (
      !best ||
      Math.max(fit.missDb / GOOD_DB, fit.missDegrees / GOOD_DEGREES) <
        Math.max(best.missDb / GOOD_DB, best.missDegrees / GOOD_DEGREES)
    )
      best = fit;
    if (best.missDb <= GOOD_DB && best.missDegrees <= GOOD_DEGREES) break;
  }
  return best!;
}

/** Where a fit begins: half of the poles slow and real, half in pairs over the band. */
function firstPlaces(order: number, rate: number): Place[] {
  const pairs = Math.floor(order / 4);
  const reals = order - 2 * pairs;
  const spread = (k: number, n: number, low: number, high: number): number =>
    low * (high / low) ** (n === 1 ? 0.5 : k / (n - 1));
  const slow = Array.from({ length: reals }, (_, k): Place => [
    Math.exp((-2 * Math.PI * spread(k, reals, 0.5, 12_000)) / rate),
    0
  ]);
  const fast = Array.from({ length: pairs }, (_, k): Place => {
    const angle = (2 * Math.PI * spread(k, pairs, 1500, 0.45 * rate)) / rate;
    const radius = Math.exp(-0.3 * angle);
    return [radius * Math.cos(angle), radius * Math.sin(angle)];
  });
  return [...slow, ...fast];
}

function fitOrder(curve: Curve, rate: number, order: number, peak: number): Rational {
  const { hz, re, im } = curve;
  const floor = peak * 10 ** (QUIET_DB / 20);
  // Beyond the band it is only led: what is there is not heard, and what bends there must not bend the band.
  const weight = hz.map((f, k) => (f > HIGH ? 0.02 : f < LOW ? 0.2 : 1) / Math.max(Math.hypot(re[k], im[k]), floor));
  const samples: Samples = {
    ...{ hz, re, im, weight },
    zRe: hz.map((f) => Math.cos((2 * Math.PI * f) / rate)),
    zIm: hz.map((f) => Math.sin((2 * Math.PI * f) / rate))
  };
  let places = firstPlaces(order, rate);
  for (let round = 0; round < ROUNDS; round++) places = moved(places, samples);
  return withResidues(places, samples, rate, floor);
}

/** Values of all basis functions at a point: 1 ÷ (z − p), of a pair their sum and j times their difference. */
function basis(places: readonly Place[], x: number, y: number, outRe: Float64Array, outIm: Float64Array): void {
  let at = 0;
  for (const [pr, pi] of places) {
    const inverse = (dr: number, di: number): readonly [number, number] => {
      const size = dr * dr + di * di;
      return [dr / size, -di / size];
    };
    const [ar, ai] = inverse(x - pr, y - pi);
    if (pi === 0) {
      outRe[at] = ar;
      outIm[at++] = ai;
      continue;
    }
    const [br, bi] = inverse(x - pr, y + pi);
    outRe[at] = ar + br;
    outIm[at++] = ai + bi;
    outRe[at] = -(ai - bi);
    outIm[at++] = ar - br;
  }
}
const sizeOf = (places: readonly Place[]): number => places.reduce((n, [, im]) => n + (im === 0 ? 1 : 2), 0);

/** Least squares of real unknowns, columns scaled to one length first. */
function solve(rows: Float64Array[], right: Float64Array): number[] {
  const n = rows[0].length;
  const scale = new Float64Array(n);
  for (const row of rows) for (let c = 0; c < n; c++) scale[c] += row[c] * row[c];
  for (let c = 0; c < n; c++) scale[c] = scale[c] > 0 ? 1 / Math.sqrt(scale[c]) : 0;
  const matrix = new Matrix(rows.map((row) => Array.from(row, (v, c) => v * scale[c])));
  // Columns that say the same as others are held by a breath of damping.
  const damped = Matrix.zeros(rows.length + n, n);
  damped.setSubMatrix(matrix, 0, 0);
  for (let c = 0; c < n; c++) damped.set(rows.length + c, c, 1e-11);
  const b = Matrix.zeros(rows.length + n, 1);
  right.forEach((v, k) => b.set(k, 0, v));
  return new QrDecomposition(damped)
    .solve(b)
    .to1DArray()
    .map((v, c) => v * scale[c]);
}

/** What is fitted to: a curve at its places on the unit circle, each with what a miss there counts. */
interface Samples extends Curve {
  readonly zRe: Float64Array;
  readonly zIm: Float64Array;
  readonly weight: Float64Array;
}

/**
 * Least squares of the curve by these poles.
 * @param relocating with as many unknowns again, of the function σ whose zeros are better places
 * @returns residues, the direct part, and behind it those of σ
 */
function fitted(places: readonly Place[], { re, im, zRe, zIm, weight }: Samples, relocating: boolean): number[] {
  const n = sizeOf(places);
  const [fr, fi] = [new Float64Array(n), new Float64Array(n)];
  const rows: Float64Array[] = [];
  const right = new Float64Array(2 * re.length);
  for (let k = 0; k < re.length; k++) {
    basis(places, zRe[k], zIm[k], fr, fi);
    const w = weight[k];
    const size = relocating ? 2 * n + 1 : n + 1;
    const [a, b] = [new Float64Array(size), new Float64Array(size)];
    for (let c = 0; c < n; c++) {
      a[c] = w * fr[c];
      b[c] = w * fi[c];
      if (!relocating) continue;
      a[n + 1 + c] = -w * (re[k] * fr[c] - im[k] * fi[c]);
      b[n + 1 + c] = -w * (re[k] * fi[c] + im[k] * fr[c]);
    }
    a[n] = w;
    rows.push(a, b);
    right[2 * k] = w * re[k];
    right[2 * k + 1] = w * im[k];
  }
  return solve(rows, right);
}

/** Poles nearer to where the response has them. */
function moved(places: readonly Place[], samples: Samples): Place[] {
  const n = sizeOf(places);
  const sigma = fitted(places, samples, true).slice(n + 1);
  // Zeros of σ are the new poles: eigenvalues of A − b·cᵀ.
  const state = Matrix.zeros(n, n);
  let at = 0;
  for (const [pr, pi] of places) {
    if (pi === 0) {
      state.set(at, at, pr);
      for (let c = 0; c < n; c++) state.set(at, c, state.get(at, c) - sigma[c]);
      at++;
      continue;
    }
    state.set(at, at, pr);
    state.set(at, at + 1, pi);
    state.set(at + 1, at, -pi);
    state.set(at + 1, at + 1, pr);
    for (let c = 0; c < n; c++) state.set(at, c, state.get(at, c) - 2 * sigma[c]);
    at += 2;
  }
  const { realEigenvalues, imaginaryEigenvalues } = new EigenvalueDecomposition(state);
  return realEigenvalues.flatMap((r, k): Place[] => {
    const i = imaginaryEigenvalues[k];
    if (i < 0) return [];
    const size = Math.hypot(r, i);
    // What would grow for ever is turned inside the circle, where its magnitude is the same.
    const [x, y] = size > 1 ? [r / (size * size), i / (size * size)] : [r, i];
    const held = Math.hypot(x, y) > 1 - 1e-7 ? (1 - 1e-7) / Math.hypot(x, y) : 1;
    return [[x * held, Math.abs(y) < 1e-12 ? 0 : y * held]];
  });
}

function withResidues(places: readonly Place[], samples: Samples, rate: number, floor: number): Rational {
  const { hz, re, im } = samples;
  const found = fitted(places, samples, false);
  let at = 0;
  const poles = places.map(([pr, pi]): Pole =>
    pi === 0 ? { re: pr, im: 0, rRe: found[at++], rIm: 0 } : { re: pr, im: pi, rRe: found[at++], rIm: found[at++] }
  );
  const fit = { rate, direct: found[sizeOf(places)], poles };
  let [missDb, missDegrees] = [0, 0];
  for (let k = 0; k < hz.length; k++) {
    const size = Math.hypot(re[k], im[k]);
    if (hz[k] < LOW || hz[k] > HIGH || size < floor * 10) continue;
    const [hr, hi] = responseOf(fit, hz[k]);
    const [qr, qi] = [(hr * re[k] + hi * im[k]) / (size * size), (hi * re[k] - hr * im[k]) / (size * size)];
    missDb = Math.max(missDb, Math.abs(20 * Math.log10(Math.hypot(qr, qi))));
    missDegrees = Math.max(missDegrees, (Math.abs(Math.atan2(qi, qr)) * 180) / Math.PI);
  }
  return { ...fit, missDb, missDegrees };
}

/** What it makes of a frequency. @param hz hertz @returns real and imaginary part */
export function responseOf(
  { rate, direct, poles }: Pick<Rational, 'rate' | 'direct' | 'poles'>,
  hz: number
): readonly [number, number] {
  const [x, y] = [Math.cos((2 * Math.PI * hz) / rate), Math.sin((2 * Math.PI * hz) / rate)];
  let [sr, si] = [direct, 0];
  const add = (pr: number, pi: number, rr: number, ri: number): void => {
    const [dr, di] = [x - pr, y - pi];
    const size = dr * dr + di * di;
    sr += (rr * dr + ri * di) / size;
    si += (ri * dr - rr * di) / size;
  };
  for (const { re, im, rRe, rIm } of poles) {
    add(re, im, rRe, rIm);
    if (im !== 0) add(re, -im, rRe, -rIm);
  }
  return [sr, si];
}
