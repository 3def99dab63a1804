import { judgePlan } from '../judge/judge';
import { mulberry32 } from '../judge/tolerance';
import { resolve } from '../plan/resolved';
import type { Plan } from '../plan/schema';
import { show } from './plans';

/** What tests of sounds share: tones, noise, levels, and lines of every kind. */

export const RATE = 48_000;
export const SILENT = { hum: null, hiss: false } as const;
export const tone = (hz: number, size: number, seconds = 1): Float32Array =>
  Float32Array.from({ length: Math.round(seconds * RATE) }, (_, n) => size * Math.sin((2 * Math.PI * hz * n) / RATE));
/** Amplitude and phase of a tone in the second half of some samples, in which it goes round a whole number of times. */
export function readTone(y: ArrayLike<number>, hz: number): { size: number; degrees: number } {
  let [c, s] = [0, 0];
  const n = y.length / 2;
  for (let k = n; k < y.length; k++) {
    c += y[k] * Math.cos((2 * Math.PI * hz * k) / RATE);
    s += y[k] * Math.sin((2 * Math.PI * hz * k) / RATE);
  }
  return { size: (2 * Math.hypot(c, s)) / n, degrees: (Math.atan2(c, s) * 180) / Math.PI };
}
export const rms = (x: ArrayLike<number>): number => Math.sqrt(Array.from(x).reduce((a, b) => a + b * b, 0) / x.length);
export const db = (x: number): number => 20 * Math.log10(x);
export const noise = (n: number, seed = 3): Float32Array => {
  const random = mulberry32(seed);
  return Float32Array.from({ length: n }, () => random() * 2 - 1);
};

/** Lines of every kind that bends: coils with cable, piezos, transformers, active ones, long runs. */
const LINES = [
  'Guitar: guitar single coil, 6 m, passive DI, 40 m, mic 1',
  'Fiddle: violin piezo, 5 m, active DI, 60 m, mic 2',
  'Bass: bass guitar single coil, 9 m, active DI 10m, 20 m, mic 3',
  'Keys: keyboard, 5 m, passive DI, 80 m, mic 4',
  'Voice: dynamic mic, 90 m, mic 5',
  'Tape: rca player, 12 m, rca input, ch 6'
] as const;
export const plan: Plan = show(...LINES.map((text): [string] => [text]));
export const lines = resolve(plan).lines;
export const reports = new Map(judgePlan(plan).map((r) => [r.id, r]));
