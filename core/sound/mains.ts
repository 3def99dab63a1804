import FFT from 'fft.js';

/** The mains in a recording: its frequency, and how strong each harmonic is. */

export interface Mains {
  /** Hz; 0 where there is none. */
  readonly hz: number;
  /** Level of each harmonic, dBFS (a sine from −1 to 1 is 0 dBFS). */
  readonly harmonics: readonly number[];
  /** How far the comb of harmonics stands over what is between them, dB. */
  readonly clear: number;
}

const COUNTED = 20;
/** Rate at which harmonics are looked at, samples a second: four times the highest of them. */
const RATE = 6000;
/** Half the length of the filter before it, in samples of the slow rate. */
const HALF = 12;
/** A comb that stands less than this over what is between its teeth is none, dB. */
const LEAST_DB = 6;

/** A signal at a lower rate, everything above half of it filtered out (windowed sinc, Blackman); filtered where it is looked at, and nowhere else. */
class Slow {
  readonly rate: number;
  readonly length: number;
  readonly #by: number;
  readonly #taps: Float64Array;
  constructor(
    readonly samples: Float32Array,
    rate: number,
    wanted: number
  ) {
    const by = (this.#by = Math.max(1, Math.floor(rate / wanted)));
    this.rate = rate / by;
    this.length = Math.floor(samples.length / by);
    const half = by === 1 ? 0 : HALF * by;
    const taps = (this.#taps = new Float64Array(2 * half + 1));
    let sum = 0;
    for (let k = -half; k <= half; k++) {
      const x = (k * 0.9) / by;
      const window =
        half === 0 ? 1 : 0.42 + 0.5 * Math.cos((Math.PI * k) / half) + 0.08 * Math.cos((2 * Math.PI * k) / half);
      taps[k + half] = (k === 0 ? 1 : Math.sin(Math.PI * x) / (Math.PI * x)) * window;
      sum += taps[k + half];
    }
    for (let k = 0; k < taps.length; k++) taps[k] /= sum;
  }
  /** Samples of the slow rate, from one of them on. */
  read(from: number, count: number): Float32Array {
    const { samples } = this;
    const taps = this.#taps;
    const half = taps.length >> 1;
    const out = new Float32Array(count);
    for (let k = 0; k < count; k++) {
      const at = (from + k) * this.#by;
      const first = Math.max(0, at - half);
      const last = Math.min(samples.length - 1, at + half);
      let v = 0;
      for (let j = first; j <= last; j++) v += samples[j] * taps[j - at + half];
      out[k] = v;
    }
    return out;
  }
}

/** Finds the mains. @param samples at least half a second */
export function mainsIn(samples: Float32Array, rate: number): Mains {
  const slow = new Slow(samples, rate, RATE);
  const hz = frequencyOf(slow);
  if (hz === null) return { hz: 0, harmonics: [], clear: 0 };
  const looks = looksAt(slow);
  const harmonics = levelsAt(looks, slow.rate, hz, 0);
  const between = levelsAt(looks, slow.rate, hz, 0.5);
  const power = (list: readonly number[]): number => list.reduce((sum, db) => sum + 10 ** (db / 10), 0);
  const clear = 10 * Math.log10(power(harmonics) / Math.max(power(between), 1e-20));
  return clear < LEAST_DB ? { hz: 0, harmonics: [], clear } : { hz, harmonics, clear };
}

const BANDS = [
  [48.5, 51.5],
  [58.5, 61.5]
] as const;
/** Harmonics by which the frequency is found. */
const TEETH = 10;

/** Frequency whose harmonics stand out most, Hz: over one long Fourier transform, then between its points by a parabola. */
function frequencyOf(slow: Slow): number | null {
  const { rate } = slow;
  const size = 2 ** Math.min(18, Math.max(15, Math.ceil(Math.log2(slow.length))));
  const n = Math.min(slow.length, size);
  const samples = slow.read(Math.floor((slow.length - n) / 2), n);
  const fft = new FFT(size);
  const input = new Array<number>(size).fill(0);
  for (let k = 0; k < n; k++) input[k] = samples[k] * (0.5 - 0.5 * Math.cos((2 * Math.PI * (k + 0.5)) / n));
  const out = fft.createComplexArray();
  fft.realTransform(out, input);
  const at = (hz: number): number => {
    const x = (hz * size) / rate;
    const k = Math.floor(x);
    const size2 = (i: number): number => Math.hypot(out[2 * i], out[2 * i + 1]);
    return size2(k) + (x - k) * (size2(k + 1) - size2(k));
  };
  const score = (hz: number): number => {
    let sum = 0;
    for (let h = 1; h <= TEETH && hz * h < rate / 2 - 10; h++) sum += Math.log1p(at(hz * h) * 1e3);
    return sum;
  };
  let best = { hz: 0, score: -Infinity };
  for (const [low, high] of BANDS)
    for (let hz = low; hz <= high; hz += 0.01) {
      const s = score(hz);
      if (s > best.score) best = { hz, score: s };
    }
  if (best.score <= 0) return null;
  const [a, b, c] = [score(best.hz - 0.01), best.score, score(best.hz + 0.01)];
  return best.hz + 0.01 * topOf(a, b, c);
}

/** Where the top of a parabola through three points lies, in steps from the middle one; 0 where it has none. */
export function topOf(a: number, b: number, c: number): number {
  const bend = a - 2 * b + c;
  return bend < 0 ? (a - c) / (2 * bend) : 0;
}

/** A window flat at its top (ISO 18431-2): the level of a tone is right even where its frequency is a little off. */
const FLAT = [0.21557895, 0.41663158, 0.277263158, 0.083578947, 0.006947368] as const;
/** Length of one look at a harmonic, seconds. */
const LOOK = 1;

/** So many looks at a recording at most, spread over all of it. */
const LOOKS = 60;
function looksAt(slow: Slow): Float32Array[] {
  const n = Math.min(Math.round(LOOK * slow.rate), slow.length);
  const looks = Math.max(1, Math.min(LOOKS, Math.floor(slow.length / n)));
  const step = looks > 1 ? Math.floor((slow.length - n) / (looks - 1)) : 0;
  return Array.from({ length: looks }, (_, l) => slow.read(l * step, n));
}

/** Levels at the harmonics of a frequency, or between them, dBFS: powers of many looks averaged. */
function levelsAt(looks: readonly Float32Array[], rate: number, hz: number, beside: number): number[] {
  const n = looks[0].length;
  const window = new Float64Array(n);
  let sum = 0;
  for (let k = 0; k < n; k++) {
    const x = (2 * Math.PI * k) / (n - 1);
    window[k] =
      FLAT[0] -
      FLAT[1] * Math.cos(x) +
      FLAT[2] * Math.cos(2 * x) -
      FLAT[3] * Math.cos(3 * x) +
      FLAT[4] * Math.cos(4 * x);
    sum += window[k];
  }
  return Array.from({ length: COUNTED }, (_, h) => {
    const f = hz * (h + 1 + beside);
    if (f > rate * 0.42) return -200;
    const w = (2 * Math.PI * f) / rate;
    const [cos, sin] = [Math.cos(w), Math.sin(w)];
    let power = 0;
    for (const look of looks) {
      let [c, s, re, im] = [1, 0, 0, 0];
      for (let k = 0; k < n; k++) {
        const v = look[k] * window[k];
        re += v * c;
        im -= v * s;
        const turned = c * cos - s * sin;
        s = s * cos + c * sin;
        c = turned;
      }
      power += (2 * Math.hypot(re, im)) ** 2 / sum ** 2;
    }
    return 10 * Math.log10(Math.max(power / looks.length, 1e-20));
  });
}
