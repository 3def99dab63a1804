import FFT from 'fft.js';
import { aWeight } from '../rig/noise';
import type { Sound } from '../trace/hypotheses';
import { type Mains, mainsIn, topOf } from './mains';

/** What is in a recording of a noise: mains, whine, clicks, hiss, something that swings like speech; and which of them one hears. */

export interface Analysis {
  readonly seconds: number;
  readonly rate: number;
  readonly mains: Mains;
  /** Tones that are no harmonics of the mains, loudest first: Hz and dBFS. */
  readonly whines: readonly { readonly hz: number; readonly db: number }[];
  /** Clicks a second. */
  readonly clicks: number;
  /** Noise from 20 Hz to 20 kHz, tones left out, dBFS. */
  readonly hissDb: number;
  /** How much the middle of the spectrum swings as speech does, 0 to 1. */
  readonly swing: number;
  readonly rmsDb: number;
  readonly peakDb: number;
  /** Average spectrum in bands of equal width on a logarithmic scale: their middle, Hz, and level, dBFS. */
  readonly spectrum: { readonly hz: readonly number[]; readonly db: readonly number[] };
  /** The same bands over time, column by column, dBFS. */
  readonly columns: readonly Float32Array[];
  /** Level over time, dBFS. */
  readonly levels: readonly number[];
  /** What one hears, loudest first, with its share of what is heard (A-weighted). */
  readonly heard: readonly { readonly sound: Sound; readonly share: number }[];
}

const SIZE = 8192;
const BANDS = 96;
const MOST_COLUMNS = 400;
/** More transforms than these, spread evenly, make an average no better: each line is then within a few tenths of a decibel. */
const MOST_BLOCKS = 1200;
const LOW_HZ = 20;
/** A whine stands so far over what is beside it, dB; and so far off a harmonic, Hz. */
const WHINE_DB = 15;
const OFF_HZ = 6;
const WHINE_FROM_HZ = 900;
/** What is under this is the arithmetic of the file, −115 dBFS. */
const LEAST_POWER = 10 ** -11.5 / 2;
const db = (power: number): number => 10 * Math.log10(Math.max(power, 1e-20));

/** @param told how far it is, 0 to 1; called now and then */
export function analyse(
  samples: Float32Array,
  rate: number,
  told: (share: number) => void = () => undefined
): Analysis {
  const mains = mainsIn(samples, rate);
  told(0.35);
  const welch = spectrumOf(samples, rate, (share) => told(0.35 + 0.5 * share));
  const bin = rate / SIZE;
  const floor = floors(welch.power);
  const whines = tonesIn(welch.power, floor, bin, mains.hz);
  const time = overTime(samples, rate);
  // Clicks lift the spectrum between tones; between clicks there is only hiss. Whichever is less has less in it that is none.
  const hiss = Math.min(hissOf(floor, bin, welch.blocks), quietOf(samples, rate));
  told(0.95);
  const weigh = (hz: number, power: number): number => power * aWeight(hz) ** 2;
  const harmonic = (from: number, to: number): number =>
    mains.harmonics
      .slice(from, to)
      .reduce((sum, level, k) => sum + weigh(mains.hz * (from + k + 1), 10 ** (level / 10) / 2), 0);
  const parts: Record<Sound, number> = {
    hum: harmonic(0, 4),
    buzz: harmonic(4, 20),
    whine: whines.reduce((sum, t) => sum + weigh(t.hz, 10 ** (t.db / 10) / 2), 0),
    hiss: weigh(3000, hiss),
    crackle: time.clickPower,
    radio: 0
  };
  // A hum with a rough top is a buzz, and the buzz takes its fundamental along.
  if (parts.buzz > parts.hum) [parts.buzz, parts.hum] = [parts.buzz + parts.hum, 0];
  else [parts.hum, parts.buzz] = [parts.hum + parts.buzz, 0];
  if (time.swing > 0.5 && time.clicks < 2) [parts.radio, parts.hiss] = [parts.hiss + time.middle, 0];
  const total = Object.values(parts).reduce((a, b) => a + b, 0);
  told(1);
  return {
    seconds: samples.length / rate,
    rate,
    mains,
    whines,
    clicks: time.clicks,
    hissDb: db(2 * hiss),
    swing: time.swing,
    rmsDb: db(2 * time.power),
    peakDb: 2 * db(time.peak),
    spectrum: { hz: welch.bands, db: welch.average },
    columns: welch.columns,
    levels: time.levels,
    heard: (Object.entries(parts) as [Sound, number][])
      .map(([sound, power]) => ({ sound, share: total > 0 ? power / total : 0 }))
      .filter((h) => h.share > 0.01)
      .sort((a, b) => b.share - a.share)
  };
}

/** Average power in each line of the Fourier transform (Welch 1967), and bands over time. */
function spectrumOf(samples: Float32Array, rate: number, told: (share: number) => void) {
  const fft = new FFT(SIZE);
  const out = fft.createComplexArray();
  const input = new Array<number>(SIZE).fill(0);
  const hann = Float64Array.from({ length: SIZE }, (_, k) => 0.5 - 0.5 * Math.cos((2 * Math.PI * (k + 0.5)) / SIZE));
  const norm = hann.reduce((sum, w) => sum + w * w, 0) * SIZE;
  const power = new Float64Array(SIZE / 2);
  const high = Math.min(20_000, rate / 2);
  const edges = Array.from({ length: BANDS + 1 }, (_, k) => LOW_HZ * (high / LOW_HZ) ** (k / BANDS));
  const bands = edges.slice(0, -1).map((e, k) => Math.sqrt(e * edges[k + 1]));
  const bandOf = Int16Array.from({ length: SIZE / 2 }, (_, k) => {
    const hz = (k * rate) / SIZE;
    return hz < LOW_HZ || hz >= high
      ? -1
      : Math.min(BANDS - 1, Math.floor((Math.log(hz / LOW_HZ) / Math.log(high / LOW_HZ)) * BANDS));
  });
  const whole = Math.max(1, Math.floor(samples.length / SIZE));
  const blocks = Math.min(whole, MOST_BLOCKS);
  const each = Math.max(1, Math.ceil(blocks / MOST_COLUMNS));
  const columns: Float32Array[] = [];
  let sums = new Float64Array(BANDS);
  let inColumn = 0;
  for (let b = 0; b < blocks; b++) {
    const from = Math.floor((b * whole) / blocks) * SIZE;
    for (let k = 0; k < SIZE; k++) input[k] = (samples[from + k] ?? 0) * hann[k];
    fft.realTransform(out, input);
    for (let k = 1; k < SIZE / 2; k++) {
      const p = (out[2 * k] ** 2 + out[2 * k + 1] ** 2) / norm;
      power[k] += p;
      if (bandOf[k] >= 0) sums[bandOf[k]] += p;
    }
    if (++inColumn === each || b === blocks - 1) {
      columns.push(filled(Float32Array.from(sums, (p) => db((4 * p) / inColumn))));
      sums = new Float64Array(BANDS);
      inColumn = 0;
    }
    if (b % 64 === 0) told(b / blocks);
  }
  for (let k = 0; k < power.length; k++) power[k] = (2 * power[k]) / blocks;
  const average = new Float64Array(BANDS);
  power.forEach((p, k) => bandOf[k] >= 0 && (average[bandOf[k]] += p));
  return { power, bands, blocks, average: [...filled(Float32Array.from(average, (p) => db(2 * p)))], columns };
}

/** Bands narrower than a line of the transform take the level of the one below. */
function filled(bands: Float32Array): Float32Array {
  for (let k = 1; k < bands.length; k++) if (bands[k] <= -199) bands[k] = bands[k - 1];
  for (let k = bands.length - 2; k >= 0; k--) if (bands[k] <= -199) bands[k] = bands[k + 1];
  return bands;
}

/** Where the lower quarter of so many averaged powers lies, of their mean: chi-square, exact for one, normal for many. */
const quarterOf = (blocks: number): number => Math.max(-Math.log(0.75), 1 - 0.6745 / Math.sqrt(blocks));

/** Each line's surroundings: the lower quarter of an eighth of an octave and more on both sides, so that a comb of tones is left out too. */
function floors(power: Float64Array): Float64Array {
  const out = new Float64Array(power.length);
  for (let k = 1; k < power.length; k++) {
    const reach = Math.max(12, Math.round(k / 12));
    // It changes slowly: it is taken at every eighth of the reach only.
    const step = Math.max(1, reach >> 3);
    const around = power.slice(Math.max(1, k - reach), Math.min(power.length, k + reach + 1)).sort();
    const m = around[around.length >> 2];
    for (let j = k; j < Math.min(power.length, k + step); j++) out[j] = m;
    k += step - 1;
  }
  return out;
}

/** Power of the noise alone, from 20 Hz to 20 kHz. @param blocks transforms averaged: their lower quarter lies below their mean by two thirds of its spread */
function hissOf(floor: Float64Array, bin: number, blocks: number): number {
  let sum = 0;
  // Below the lowest kilohertz the lines of the mains stand too close to see between them.
  const from = Math.round(1000 / bin);
  const to = Math.min(floor.length, Math.round(16_000 / bin));
  for (let k = from; k < to; k++) sum += floor[k] / quarterOf(blocks);
  const perLine = sum / Math.max(1, to - from);
  return (perLine * Math.min(20_000, floor.length * bin)) / bin;
}

/** Frames short enough that most have no click, seconds; one in so many is looked at. */
const QUIET_FRAME = 0.002;
const QUIET_EVERY = 3;
/** White noise through a second difference has six times its power. */
const SECOND_DIFFERENCE = 6;
/** Power of the noise from 20 Hz to 20 kHz out of the quieter half of short frames, hum and its harmonics taken away by a second difference. */
function quietOf(samples: Float32Array, rate: number): number {
  const frame = Math.max(16, Math.round(QUIET_FRAME * rate));
  const powers: number[] = [];
  for (let from = 2; from + frame <= samples.length; from += frame * QUIET_EVERY) {
    let sum = 0;
    for (let k = from; k < from + frame; k++) sum += (samples[k] - 2 * samples[k - 1] + samples[k - 2]) ** 2;
    powers.push(sum / frame / SECOND_DIFFERENCE);
  }
  if (powers.length === 0) return Infinity;
  const half = powers.sort((a, b) => a - b)[powers.length >> 1];
  return half * Math.min(1, 20_000 / (rate / 2));
}

function tonesIn(power: Float64Array, floor: Float64Array, bin: number, mainsHz: number): { hz: number; db: number }[] {
  const out: { hz: number; db: number }[] = [];
  for (let k = Math.round(WHINE_FROM_HZ / bin); k < power.length - 2; k++) {
    if (power[k] < power[k - 1] || power[k] <= power[k + 1] || power[k] < floor[k] * 10 ** (WHINE_DB / 10)) continue;
    if (power[k] < LEAST_POWER) continue;
    const hz = peakAt(power, k) * bin;
    const off = mainsHz > 0 ? Math.abs(hz / mainsHz - Math.round(hz / mainsHz)) * mainsHz : Infinity;
    if (off < Math.min(OFF_HZ, mainsHz / 4) && hz < 4000) continue;
    // A Hann window spreads a tone over four lines.
    out.push({ hz, db: db(2 * (power[k - 2] + power[k - 1] + power[k] + power[k + 1] + power[k + 2])) });
  }
  return out.sort((a, b) => b.db - a.db).slice(0, 8);
}

/** Where a peak lies between lines. */
const peakAt = (power: Float64Array, k: number): number => k + topOf(db(power[k - 1]), db(power[k]), db(power[k + 1]));

/** A jump this many times the usual one is a click; and clicks nearer than this are one, seconds. */
const CLICK = 12;
const APART = 0.01;
/** Frame by which swings are looked at, seconds. */
const FRAME = 0.02;
/** Frames after a click that are the click’s. */
const RINGS = 3;

function overTime(samples: Float32Array, rate: number) {
  const frame = Math.max(16, Math.round(FRAME * rate));
  const count = Math.max(1, Math.floor(samples.length / frame));
  const jumps = new Float64Array(count);
  const clicked = new Uint8Array(count);
  let [power, peak] = [0, 0];
  const levels: number[] = [];
  const perLevel = Math.max(1, Math.ceil(count / MOST_COLUMNS));
  let [sum, frames] = [0, 0];
  // Middle of the spectrum: what is left of the signal less its slow part, smoothed.
  const slow = 1 - Math.exp((-2 * Math.PI * 300) / rate);
  const fast = 1 - Math.exp((-2 * Math.PI * 3400) / rate);
  let [low, band] = [0, 0];
  const middles = new Float64Array(count);
  for (let f = 0; f < count; f++) {
    let [energy, jump, middle] = [0, 0, 0];
    for (let k = f * frame; k < (f + 1) * frame; k++) {
      const v = samples[k];
      energy += v * v;
      peak = Math.max(peak, Math.abs(v));
      jump += (v - (samples[k - 1] ?? v)) ** 2;
      low += slow * (v - low);
      band += fast * (v - low - band);
      middle += band * band;
    }
    power += energy;
    jumps[f] = jump / frame;
    middles[f] = middle / frame;
    sum += energy / frame;
    if (++frames === perLevel || f === count - 1) {
      levels.push(db((2 * sum) / frames));
      [sum, frames] = [0, 0];
    }
  }
  const usual = [...jumps].sort((a, b) => a - b)[count >> 1];
  const limit = CLICK * Math.sqrt(usual + 1e-14);
  let [clicks, last, clickPower] = [0, -Infinity, 0];
  for (let k = 1; k < samples.length; k++) {
    const jump = Math.abs(samples[k] - samples[k - 1]);
    if (jump < limit) continue;
    clickPower += samples[k] ** 2;
    // It rings on for a few frames.
    for (let f = Math.floor(k / frame); f < Math.min(count, Math.floor(k / frame) + RINGS); f++) clicked[f] = 1;
    if (k - last < APART * rate) continue;
    clicks++;
    last = k;
  }
  const seconds = samples.length / rate;
  return {
    power: power / (count * frame),
    peak,
    levels,
    clicks: clicks / seconds,
    // A click is heard far beyond its few samples.
    clickPower: clicks / seconds < 0.5 ? 0 : (clickPower / samples.length) * 8,
    middle: middles.reduce((a, b) => a + b, 0) / count,
    swing: swingOf(middles.filter((_, f) => clicked[f] === 0))
  };
}

/** How deep the middle of the spectrum swings between 1 and 8 times a second: the spread of its smoothed logarithm, 0 to 1. */
function swingOf(middles: Float64Array): number {
  const WIDE = 3;
  const smooth = Array.from(middles, (_, k) => {
    let [s, n] = [0, 0];
    for (let j = Math.max(0, k - WIDE); j <= Math.min(middles.length - 1, k + WIDE); j++)
      [s, n] = [s + middles[j], n + 1];
    return db(s / n + 1e-14);
  });
  if (smooth.length < 20) return 0;
  const sorted = [...smooth].sort((a, b) => a - b);
  const spread = sorted[Math.floor(sorted.length * 0.9)] - sorted[Math.floor(sorted.length * 0.1)];
  return Math.min(1, spread / 20);
}
