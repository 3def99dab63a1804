// Measure: what a laptop, an interface and two resistors tell of a device. Knows samples and networks; plays and records nothing.
import FFT from 'fft.js';
import { spectrumOf } from '../hear/spectrum';
import { type Complex, divide } from '../solver/system';

/**
 * An exponential sine sweep and what comes back from it (A. Farina, “Simultaneous measurement of impulse response and distortion
 * with a swept-sine technique”, AES 108, 2000): harmonics of order n come out earlier by T·ln n ÷ ln(f₂ ÷ f₁), apart from the response.
 */
export interface Sweep {
  readonly rate: number;
  readonly seconds: number;
  /** From and to which frequency, hertz. */
  readonly from: number;
  readonly to: number;
}
export const SWEEP: Sweep = { rate: 48_000, seconds: 1.2, from: 12, to: 22_000 };

/** It comes in and goes out over so long, seconds: no click. */
const FADE_IN = 0.08;
const FADE_OUT = 0.004;
/** After it so long is listened on, seconds: latency, and what rings. */
export const TAIL = 0.5;
/** What of an impulse response is its own: before its peak, and behind it, seconds. */
const BEFORE = 0.07;
const BEHIND = 0.4;
/** A harmonic's response, seconds either way; and how far it has to stand out of what is between, dB. */
const HARMONIC = 0.006;
const STANDS_OUT_DB = 4;

/** @param level peak, of full scale @returns the sweep and a silence behind it */
export function sweepSound({ rate, seconds, from, to }: Sweep, level: number): Float32Array {
  const n = Math.round(seconds * rate);
  const out = new Float32Array(n + Math.round(TAIL * rate));
  const octaves = Math.log(to / from);
  for (let k = 0; k < n; k++) {
    const t = k / rate;
    const phase = ((2 * Math.PI * from * seconds) / octaves) * (Math.exp((t / seconds) * octaves) - 1);
    const rise = Math.min(1, t / FADE_IN);
    const fall = Math.min(1, (seconds - t) / FADE_OUT);
    out[k] = level * Math.sin(phase) * Math.sin((Math.PI / 2) * rise) ** 2 * fall;
  }
  return out;
}

/** What came back, taken apart. */
export interface Heard {
  readonly rate: number;
  /** Of the responses below. */
  readonly size: number;
  /** The linear response as a spectrum, bins re, im, re, im …, its delay in it. */
  readonly spectrum: readonly number[];
  /** When its peak comes, samples, to the sample. */
  readonly late: number;
  /** 1, or −1 for what is turned over. */
  readonly sign: 1 | -1;
  /** Harmonics of second and third order over the fundamental, by energy, dB; null for what does not stand out of the noise. */
  readonly harmonics: readonly [second: number | null, third: number | null];
  /** The loudest sample that came back, of full scale. */
  readonly peak: number;
  /** What is there when nothing plays, RMS, of full scale. */
  readonly noise: number;
}

/** At the very end nothing plays and nothing rings any more, seconds. */
const STILL = 0.1;
function noiseOf(still: Float32Array): number {
  const mean = still.reduce((sum, v) => sum + v, 0) / still.length;
  return Math.sqrt(still.reduce((sum, v) => sum + (v - mean) ** 2, 0) / still.length);
}

/** How much of what was played came back at a frequency. @returns a ratio */
export function ratioOf({ size, rate, spectrum }: Heard, hz: number): number {
  const k = Math.round((hz * size) / rate);
  return Math.hypot(spectrum[2 * k], spectrum[2 * k + 1]);
}

/** Recordings of the same sweep as one: what is the same in all stays, noise falls by the root of how many. */
export const averaged = (recordings: readonly Float32Array[]): Float32Array =>
  recordings[0].map((_, k) => recordings.reduce((sum, r) => sum + r[k], 0) / recordings.length);

/** Takes a recording apart. @param level the sweep’s, as it was played @throws RangeError for a recording shorter than the sweep */
export function takeApart(recorded: Float32Array, sweep: Sweep, level: number): Heard {
  const stimulus = sweepSound(sweep, level);
  if (recorded.length < stimulus.length) throw new RangeError(`${recorded.length} samples of ${stimulus.length}`);
  const { rate, seconds, from, to } = sweep;
  const size = 2 ** Math.ceil(Math.log2(2 * stimulus.length));
  const fft = new FFT(size);
  const [x, y] = [stimulus, recorded].map((s) => spectrumOf(fft, s.subarray(0, stimulus.length)));
  // Regularised outside what was swept: nothing was played there.
  const most = x.reduce((a, _, k) => (k % 2 ? a : Math.max(a, x[k] ** 2 + x[k + 1] ** 2)), 0);
  const h = fft.createComplexArray();
  for (let k = 0; k <= size / 2; k++) {
    const hz = (k * rate) / size;
    const power = x[2 * k] ** 2 + x[2 * k + 1] ** 2;
    const floor = hz >= from && hz <= to ? 1e-9 * most : 1e-2 * most;
    const [re, im] = divide([y[2 * k], y[2 * k + 1]], [x[2 * k], x[2 * k + 1]]);
    const keeps = power / (power + floor);
    h[2 * k] = Number.isFinite(re) ? re * keeps : 0;
    h[2 * k + 1] = Number.isFinite(im) ? im * keeps : 0;
    if (k > 0 && k < size / 2) [h[2 * (size - k)], h[2 * (size - k) + 1]] = [h[2 * k], -h[2 * k + 1]];
  }
  const impulse = fft.createComplexArray();
  fft.inverseTransform(impulse, h);
  const at = (n: number): number => impulse[2 * (((n % size) + size) % size)];
  let late = 0;
  for (let n = 1; n < TAIL * rate; n++) if (Math.abs(at(n)) > Math.abs(at(late))) late = n;
  const energy = (centre: number): number => {
    let sum = 0;
    for (let n = Math.round(-HARMONIC * rate); n < HARMONIC * rate; n++) sum += at(Math.round(centre) + n) ** 2;
    return sum;
  };
  const early = (order: number): number => (seconds * rate * Math.log(order)) / Math.log(to / from);
  const fundamental = energy(late);
  const own = new Float32Array(size);
  const [first, last] = [Math.round(-BEFORE * rate), Math.round(BEHIND * rate)];
  for (let n = first; n < last; n++) {
    // Edges of a cosine: a window that is cut ripples.
    const edge = n < first / 2 ? 1 - (n - first / 2) / (first / 2) : n > last / 2 ? (last - n) / (last / 2) : 1;
    own[(late + n + size) % size] = at(late + n) * Math.sin((Math.PI / 2) * Math.max(0, Math.min(1, edge))) ** 2;
  }
  const between = (order: number): number => energy(late - early(order + 0.45));
  const db = (order: number): number | null => {
    const own = energy(late - early(order));
    return own > between(order) * 10 ** (STANDS_OUT_DB / 10) ? 10 * Math.log10(own / fundamental) : null;
  };
  return {
    ...{ rate, size, spectrum: spectrumOf(fft, own), late, sign: at(late) < 0 ? -1 : 1 },
    ...{ harmonics: [db(2), db(3)] as const, peak: recorded.reduce((a, v) => Math.max(a, Math.abs(v)), 0) },
    noise: noiseOf(recorded.subarray(stimulus.length - Math.round(STILL * rate), stimulus.length))
  };
}

/** Each of these frequencies as one response over another, averaged over a part of an octave. @param hz hertz, rising */
export function ratioAt(a: Heard, b: Heard, hz: readonly number[]): Complex[] {
  const { size, rate } = a;
  return hz.map((f) => {
    const low = Math.max(1, Math.round((f * 2 ** -HALF_BAND * size) / rate));
    const high = Math.max(low, Math.round((f * 2 ** HALF_BAND * size) / rate));
    // By power of what it is held against: where that is weak little is known.
    let [re, im, weight] = [0, 0, 0];
    for (let k = low; k <= high; k++) {
      const [br, bi] = [b.spectrum[2 * k], b.spectrum[2 * k + 1]];
      const [ar, ai] = [a.spectrum[2 * k], a.spectrum[2 * k + 1]];
      re += ar * br + ai * bi;
      im += ai * br - ar * bi;
      weight += br * br + bi * bi;
    }
    return [re / weight, im / weight] as const;
  });
}
const HALF_BAND = 1 / 48;

/** What measurements are read at: a sixth of an octave apart, hertz. */
export const GRID: readonly number[] = Array.from({ length: 60 }, (_, k) => 20 * 2 ** (k / 6)).filter(
  (f) => f <= 20_000
);
