import FFT from 'fft.js';

/** Two takes of one performance laid over each other: how much later one is, which way round, how much faster its clock runs. */

export interface Aligned {
  /** The second is so much later than the first, in samples, at the first’s beginning; below 0 it is earlier. */
  readonly late: number;
  /** Its clock against the first’s, parts per million; above 0 the second lasts longer. */
  readonly drift: number;
  /** It is the other way round. */
  readonly inverted: boolean;
  /** How much alike they are where they lie over each other, 0 to 1. */
  readonly alike: number;
}

const power = (least: number): number => 2 ** Math.ceil(Math.log2(least));

/** Cross-correlation’s spectrum of two stretches of one length, whitened a little so that a bass note does not smear it. */
function lag(a: Float32Array, b: Float32Array): { readonly at: number; readonly height: number } {
  const size = power(a.length + b.length);
  const fft = new FFT(size);
  const spectrum = (x: Float32Array): number[] => {
    const input = new Array<number>(size).fill(0);
    for (let n = 0; n < x.length; n++) input[n] = x[n];
    const out = fft.createComplexArray();
    fft.realTransform(out, input);
    fft.completeSpectrum(out);
    return out;
  };
  const [fa, fb] = [spectrum(a), spectrum(b)];
  const cross = fft.createComplexArray();
  for (let k = 0; k < size; k++) {
    const [ar, ai, br, bi] = [fa[2 * k], fa[2 * k + 1], fb[2 * k], fb[2 * k + 1]];
    const [re, im] = [br * ar + bi * ai, bi * ar - br * ai];
    // The root of its size: half way between plain correlation and phase alone.
    const whiten = 1 / Math.sqrt(Math.hypot(re, im) + 1e-12);
    cross[2 * k] = re * whiten;
    cross[2 * k + 1] = im * whiten;
  }
  const correlation = fft.createComplexArray();
  fft.inverseTransform(correlation, cross);
  const value = (k: number): number => correlation[2 * k];
  let best = 0;
  for (let k = 0; k < size; k++) if (Math.abs(value(k)) > Math.abs(value(best))) best = k;
  // Between the samples: the spectrum is summed at fractions of one, and the top of that found.
  const exact = (at: number): number => {
    let sum = 0;
    for (let k = 1; k < size / 2; k++) {
      const turn = (2 * Math.PI * k * at) / size;
      sum += cross[2 * k] * Math.cos(turn) - cross[2 * k + 1] * Math.sin(turn);
    }
    return sum;
  };
  const sign = Math.sign(value(best)) || 1;
  const shift = best > size / 2 ? best - size : best;
  let [low, high] = [shift - 1, shift + 1];
  const golden = (Math.sqrt(5) - 1) / 2;
  for (let turn = 0; turn < 14; turn++) {
    const [p, q] = [high - golden * (high - low), low + golden * (high - low)];
    if (sign * exact(p) > sign * exact(q)) high = q;
    else low = p;
  }
  return { at: (low + high) / 2, height: value(best) };
}

/** Stretches that drift is read from, seconds, and how many. */
const PIECE = 1;
const PIECES = 7;

/**
 * @param rate samples a second of both
 * @param most later or earlier than this they are not looked for, seconds
 */
export function align(a: Float32Array, b: Float32Array, rate: number, most = 2): Aligned {
  const length = Math.min(a.length, b.length, Math.round(8 * rate));
  const from = Math.max(0, Math.floor((Math.min(a.length, b.length) - length) / 2));
  const whole = lag(a.subarray(from, from + length), b.subarray(from, from + length));
  const rough = Math.abs(whole.at) > most * rate ? 0 : whole.at;
  const first = piecewise(a, b, rate, rough);
  // Laid over each other so, what is left is small, and no stretch is smeared by the clocks within it.
  const near = laidOver(b, a.length, first.at0, first.slope * 1e6);
  const rest = piecewise(a, near, rate, 0);
  const late = first.at0 + rest.at0 * (1 + first.slope);
  const slope = first.slope + rest.slope;
  return { late, drift: slope * 1e6, inverted: whole.height < 0, alike: correlationAt(a, b, late, slope) };
}

/** Lags of stretches, and the line through them: a clock that runs faster is a lag that grows. */
function piecewise(a: Float32Array, b: Float32Array, rate: number, rough: number): { at0: number; slope: number } {
  const piece = Math.round(PIECE * rate);
  const points: { readonly at: number; readonly lag: number; readonly weight: number }[] = [];
  for (let k = 0; k < PIECES; k++) {
    const at = Math.round(((a.length - piece) * k) / (PIECES - 1));
    const other = Math.round(at + rough);
    if (at < 0 || other < 0 || at + piece > a.length || other + piece > b.length) continue;
    const some = a.subarray(at, at + piece);
    const energy = some.reduce((sum, v) => sum + v * v, 0);
    if (energy < 1e-9) continue;
    const found = lag(some, b.subarray(other, other + piece));
    if (Math.abs(found.at) < 400)
      points.push({ at: at + piece / 2, lag: other - at + found.at, weight: Math.sqrt(energy) });
  }
  return points.length >= 2 ? regression(points) : { at0: rough, slope: 0 };
}

function regression(points: readonly { at: number; lag: number; weight: number }[]): { at0: number; slope: number } {
  const total = points.reduce((s, p) => s + p.weight, 0);
  const mx = points.reduce((s, p) => s + p.weight * p.at, 0) / total;
  const my = points.reduce((s, p) => s + p.weight * p.lag, 0) / total;
  const sxx = points.reduce((s, p) => s + p.weight * (p.at - mx) ** 2, 0);
  const sxy = points.reduce((s, p) => s + p.weight * (p.at - mx) * (p.lag - my), 0);
  const slope = sxx > 0 ? sxy / sxx : 0;
  return { at0: my - slope * mx, slope };
}

function correlationAt(a: Float32Array, b: Float32Array, at0: number, slope: number): number {
  const moved = laidOver(b, a.length, at0, slope * 1e6);
  let [ab, aa, bb] = [0, 0, 0];
  for (let n = 0; n < a.length; n++) {
    ab += a[n] * moved[n];
    aa += a[n] * a[n];
    bb += moved[n] * moved[n];
  }
  return aa > 0 && bb > 0 ? Math.abs(ab) / Math.sqrt(aa * bb) : 0;
}

/** Taps on either side. */
const SIDE = 24;
/**
 * A take at the places of another’s samples: windowed sinc between its own.
 * @param length samples of the other
 * @param late and drift (parts per million) as `align` gives them
 */
export function laidOver(b: Float32Array, length: number, late: number, drift: number): Float32Array {
  const out = new Float32Array(length);
  const step = 1 + drift / 1e6;
  for (let n = 0; n < length; n++) {
    const at = n * step + late;
    const base = Math.floor(at);
    const part = at - base;
    if (base < -SIDE || base > b.length + SIDE) continue;
    if (part < 1e-9) {
      out[n] = b[base] ?? 0;
      continue;
    }
    let sum = 0;
    const sine = Math.sin(Math.PI * part);
    for (let k = -SIDE + 1; k <= SIDE; k++) {
      const x = b[base + k];
      if (!x) continue;
      const t = part - k;
      const window = 0.5 + 0.5 * Math.cos((Math.PI * t) / (SIDE + 1));
      sum += (x * (k % 2 === 0 ? sine : -sine) * window) / (Math.PI * t);
    }
    out[n] = sum;
  }
  return out;
}

/** Samples at another rate: between its own by the same sinc. @param from, to samples a second */
export const resampled = (x: Float32Array, from: number, to: number): Float32Array =>
  from === to ? x : laidOver(x, Math.floor((x.length * to) / from), 0, (from / to - 1) * 1e6);
