import { mulberry32 } from '../judge/tolerance';
import type { Heard } from '../trace/heard';
import type { Sound } from '../trace/hypotheses';
import type { Trace } from '../trace/infer';
import { exampleOf, scaled } from './examples';

/** The sound of a line when nobody plays, made from what the network says of it. */

/** White noise of the same A-weighted power has this much more in all, from 20 Hz to 20 kHz (IEC 61672-1). */
const A_OF_WHITE = 10 ** (2 / 10);
/** Sounds that are not of the mains alone: the example stands for what the network leaves out. */
const MADE: ReadonlySet<Sound> = new Set(['whine', 'crackle', 'radio']);

/**
 * @param sound what it is told as
 * @param rate samples a second
 * @returns samples between −0.5 and 0.5: a channel turned up until it is heard
 */
export const noiseOf = (at: Heard, sound: Sound, mainsHz: number, rate: number, seconds: number): Float32Array =>
  scaled(rawNoise(at, sound, mainsHz, rate, seconds));

/** A suspect is heard for so long, seconds. */
const SUSPECT_SECONDS = 2;
/** A suspect of a trace as its line would make it; null where it may sound like anything. @param rate samples a second */
export function suspectNoise(trace: Trace | undefined, suspect: string, rate: number): Float32Array | null {
  const noise = trace?.noiseOf(suspect);
  return noise ? noiseOf(noise.heard, noise.sound, trace!.plan.policy.mainsHz, rate, SUSPECT_SECONDS) : null;
}

/** A noise with what is left of it after something was done: both at the gain at which the first is turned up, so that what is softer sounds softer. */
export function noiseBeside(
  before: Heard,
  after: Heard,
  sounds: readonly [before: Sound, after: Sound],
  mainsHz: number,
  rate: number,
  seconds: number
): readonly [before: Float32Array, after: Float32Array] {
  const raw = rawNoise(before, sounds[0], mainsHz, rate, seconds);
  const peak = raw.reduce((most, v) => Math.max(most, Math.abs(v)), 0);
  const gain = 0.5 / (peak || 1);
  // What is louder than that by more than a desk shows is clipped, as there.
  const at = (v: number): number => Math.min(Math.max(v * gain, -1), 1);
  return [raw.map(at), rawNoise(after, sounds[1], mainsHz, rate, seconds).map(at)];
}

function rawNoise(at: Heard, sound: Sound, mainsHz: number, rate: number, seconds: number): Float32Array {
  const n = Math.round(rate * seconds);
  const out = new Float32Array(n);
  const w = (2 * Math.PI * mainsHz) / rate;
  at.harmonics.forEach((power, k) => {
    const amplitude = Math.sqrt(2 * power);
    if (amplitude === 0) return;
    for (let j = 0; j < n; j++) out[j] += amplitude * Math.sin(w * (k + 1) * j + k);
  });
  const random = mulberry32(11);
  const hiss = Math.sqrt(3 * at.hiss * A_OF_WHITE);
  for (let j = 0; j < n; j++) out[j] += hiss * (2 * random() - 1);
  if (MADE.has(sound)) {
    const example = exampleOf(sound, mainsHz, rate, seconds);
    // As loud to the ear as what the network foresees of it; a little of the mains is left behind it.
    const loud = 4 * Math.sqrt(Math.max(at.power, 1e-20));
    for (let j = 0; j < n; j++) out[j] = 0.01 * out[j] + loud * example[j];
  }
  return out;
}
