import FFT from 'fft.js';

/** What lies between two simultaneous takes of one performance: the response from one to the other, by averaged cross-spectra (Welch 1967; Bendat and Piersol). */

export interface Between {
  readonly hz: Float64Array;
  /** The second over the first, dB. */
  readonly db: Float64Array;
  /** How much of the second follows from the first, 0 to 1. */
  readonly coherence: Float64Array;
}

const SIZE = 8192;
/** Below this nothing is claimed of a frequency. */
export const COHERENT = 0.9;

/**
 * @param rate samples a second
 * @param perOctave points that the answer is told at
 * @returns null where the takes are too short for a single average
 */
export function between(a: Float32Array, b: Float32Array, rate: number, perOctave = 6): Between | null {
  const length = Math.min(a.length, b.length);
  const frames = Math.floor((length - SIZE) / (SIZE / 2)) + 1;
  if (frames < 4) return null;
  const fft = new FFT(SIZE);
  const half = SIZE / 2;
  const [saa, sbb, sre, sim] = [0, 1, 2, 3].map(() => new Float64Array(half + 1));
  const window = Float64Array.from({ length: SIZE }, (_, n) => 0.5 - 0.5 * Math.cos((2 * Math.PI * n) / SIZE));
  const spectrum = (x: Float32Array, from: number): number[] => {
    const input = new Array<number>(SIZE);
    for (let n = 0; n < SIZE; n++) input[n] = x[from + n] * window[n];
    const out = fft.createComplexArray();
    fft.realTransform(out, input);
    return out;
  };
  for (let f = 0; f < frames; f++) {
    const from = f * half;
    const [xa, xb] = [spectrum(a, from), spectrum(b, from)];
    for (let k = 0; k <= half; k++) {
      const [ar, ai, br, bi] = [xa[2 * k], xa[2 * k + 1], xb[2 * k], xb[2 * k + 1]];
      saa[k] += ar * ar + ai * ai;
      sbb[k] += br * br + bi * bi;
      sre[k] += br * ar + bi * ai;
      sim[k] += bi * ar - br * ai;
    }
  }
  const bin = rate / SIZE;
  const hz: number[] = [];
  const db: number[] = [];
  const coherence: number[] = [];
  // From the lowest that a stretch can tell to where converters begin to fall.
  const [low, high] = [4 * bin, Math.min(18_000, 0.42 * rate)];
  const steps = Math.floor(Math.log2(high / low) * perOctave);
  for (let s = 0; s <= steps; s++) {
    const at = low * 2 ** (s / perOctave);
    const [from, to] = [at * 2 ** (-0.5 / perOctave), at * 2 ** (0.5 / perOctave)].map((f) => f / bin);
    let [aa, bb, cross, followed] = [0, 0, 0, 0];
    for (let k = Math.max(1, Math.round(from)); k <= Math.max(Math.round(to), Math.round(from)); k++) {
      aa += saa[k];
      bb += sbb[k];
      // Bin by bin: what turns in phase over the stretch is no less alike for that.
      const size = Math.hypot(sre[k], sim[k]);
      cross += size;
      followed += saa[k] > 0 ? (size * size) / saa[k] : 0;
    }
    hz.push(at);
    db.push(aa > 0 && cross > 0 ? 20 * Math.log10(cross / aa) : -Infinity);
    coherence.push(bb > 0 ? Math.min(followed / bb, 1) : 0);
  }
  return { hz: Float64Array.from(hz), db: Float64Array.from(db), coherence: Float64Array.from(coherence) };
}

export interface Levels {
  readonly hz: readonly number[];
  /** Level in bands of one width in octaves, dB; only differences mean anything. */
  readonly db: readonly number[];
}
/** Averaged spectrum of some samples. @param rate samples a second */
export function levels(x: Float32Array, rate: number, perOctave = 6): Levels {
  const fft = new FFT(SIZE);
  const half = SIZE / 2;
  const power = new Float64Array(half);
  const out = fft.createComplexArray();
  const input = new Array<number>(SIZE);
  // Of minutes a few hundred stretches tell as much as all.
  const step = Math.max(half, Math.floor(x.length / 400));
  for (let from = 0; from + SIZE <= x.length; from += step) {
    for (let n = 0; n < SIZE; n++) input[n] = x[from + n] * (0.5 - 0.5 * Math.cos((2 * Math.PI * n) / SIZE));
    fft.realTransform(out, input);
    for (let k = 0; k < half; k++) power[k] += out[2 * k] ** 2 + out[2 * k + 1] ** 2;
  }
  const bin = rate / SIZE;
  const [hz, db]: [number[], number[]] = [[], []];
  const top = Math.min(18_000, 0.42 * rate);
  for (let f = 30; f <= top; f *= 2 ** (1 / perOctave)) {
    const [low, high] = [f * 2 ** (-0.5 / perOctave), f * 2 ** (0.5 / perOctave)].map((e) => Math.round(e / bin));
    let sum = 0;
    for (let k = low; k <= Math.max(low, high); k++) sum += power[k];
    hz.push(f);
    db.push(10 * Math.log10(sum / (high - low + 1) + 1e-12) + 10 * Math.log10(f));
  }
  return { hz, db };
}
