import { type Biquad, runBiquad } from './biquad';

/** Loudness of programme by ITU-R BS.1770-4 (2015), of one or two channels, and samples brought to one loudness. */

/**
 * The K weighting’s two filters at any rate: the analogue prototypes behind the coefficients that the recommendation gives for
 * 48 kHz (B. De Man, “Evaluation of implementations of the EBU R128 loudness measurement”, AES 145, 2018).
 */
function kWeighting(rate: number): readonly [Biquad, Biquad] {
  const [fs, gain, qs] = [1681.974450955533, 3.999843853973347, 0.7071752369554196];
  const [fh, qh] = [38.13547087602444, 0.5003270373238773];
  const k = Math.tan((Math.PI * fs) / rate);
  const high = 10 ** (gain / 20);
  const mid = high ** 0.4996667741545416;
  const d = 1 + k / qs + k * k;
  const shelf: Biquad = {
    b: [(high + (mid * k) / qs + k * k) / d, (2 * (k * k - high)) / d, (high - (mid * k) / qs + k * k) / d],
    a: [(2 * (k * k - 1)) / d, (1 - k / qs + k * k) / d]
  };
  const h = Math.tan((Math.PI * fh) / rate);
  const e = 1 + h / qh + h * h;
  return [shelf, { b: [1, -2, 1], a: [(2 * (h * h - 1)) / e, (1 - h / qh + h * h) / e] }];
}

/** What the K weighting makes of the power at a frequency. @param rate samples a second */
export function weightOf(hz: number, rate: number): number {
  const w = (2 * Math.PI * hz) / rate;
  const [c1, s1, c2, s2] = [Math.cos(w), Math.sin(w), Math.cos(2 * w), Math.sin(2 * w)];
  const size = ([k0, k1, k2]: readonly [number, number, number]): number =>
    (k0 + k1 * c1 + k2 * c2) ** 2 + (k1 * s1 + k2 * s2) ** 2;
  return kWeighting(rate).reduce((power, { b, a }) => (power * size(b)) / size([1, ...a]), 1);
}

/** All are brought to this where nothing clips, LUFS. */
export const WANTED = -23;

/** Blocks of 400 ms, each beginning 100 ms after the one before. */
const BLOCK = 0.4;
const STEP = 0.1;
const ABSOLUTE = -70;
const RELATIVE = -10;
const OFFSET = -0.691;
const lufs = (power: number): number => OFFSET + 10 * Math.log10(power);

/**
 * Gated loudness. @param channels left and right, or one
 * @param rate samples a second
 * @returns LUFS; −∞ where nothing is above the gate
 */
export function loudness(channels: readonly Float32Array[], rate: number): number {
  const filters = kWeighting(rate);
  const step = Math.round(STEP * rate);
  const count = Math.floor(channels[0].length / step);
  // Step by step, so that an hour takes no more room than a tenth of a second.
  const steps = new Float64Array(count);
  for (const channel of channels) {
    const states = filters.map(() => new Float64Array(2));
    for (let k = 0; k < count; k++) {
      const some = Float64Array.from(channel.subarray(k * step, (k + 1) * step));
      filters.forEach((f, n) => runBiquad(f, some, states[n]));
      for (const v of some) steps[k] += (v * v) / step;
    }
  }
  const each = Math.round(BLOCK / STEP);
  const powers: number[] = [];
  for (let k = 0; k + each <= count; k++) {
    let power = 0;
    for (let n = k; n < k + each; n++) power += steps[n] / each;
    powers.push(power);
  }
  const mean = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0) / list.length;
  const above = powers.filter((p) => lufs(p) > ABSOLUTE);
  if (above.length === 0) return -Infinity;
  const gate = lufs(mean(above)) + RELATIVE;
  const counted = above.filter((p) => lufs(p) > gate);
  return lufs(mean(counted));
}

/** Highest sample that is left after matching, dB full scale: room for what a converter makes between samples. */
const CEILING_DB = -1;

export interface Matched {
  readonly samples: readonly Float32Array[];
  /** What each was turned by, dB. */
  readonly turned: readonly number[];
  /** Of each after it, LUFS, measured anew. */
  readonly lufs: readonly number[];
}

/**
 * Brings takes to one loudness, in place: the loudest they can all have without clipping, and no louder than wanted.
 * @param wanted LUFS
 */
export function matchLoudness(takes: readonly Float32Array[], rate: number, wanted = WANTED): Matched {
  const loud = takes.map((t) => loudness([t], rate));
  const peak = takes.map((t) => t.reduce((most, v) => Math.max(most, Math.abs(v)), 0));
  const room = takes.map((_, k) => (peak[k] > 0 ? CEILING_DB - 20 * Math.log10(peak[k]) + loud[k] : Infinity));
  const level = Math.min(wanted, ...room.filter(Number.isFinite));
  const turned = loud.map((l) => (Number.isFinite(l) ? level - l : 0));
  takes.forEach((t, k) => {
    const factor = 10 ** (turned[k] / 20);
    for (let n = 0; n < t.length; n++) t[n] *= factor;
  });
  return { samples: takes, turned, lufs: takes.map((t) => loudness([t], rate)) };
}
