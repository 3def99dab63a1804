import { exampleOf } from '$core/sound/examples';
import type { Sound } from '$core/trace/hypotheses';

let context: AudioContext | undefined;
let playing: AudioBufferSourceNode | undefined;
const SECONDS = 1.6;

/** Plays an example of a noise, quietly; a second one ends the first. @returns false where nothing can be heard here */
export const playExample = (sound: Sound, mainsHz: number): Promise<boolean> =>
  play((rate) => exampleOf(sound, mainsHz, rate, SECONDS));

/** Samples a second of what is made elsewhere and handed over. */
export const PLAYED_AT = 48_000;

/** Plays samples, quietly. @param make for the rate at which they will be played @param rate where they were made already */
export async function play(make: (rate: number) => Float32Array, rate?: number): Promise<boolean> {
  try {
    context ??= new AudioContext();
    await context.resume();
    playing?.stop();
    const at = rate ?? context.sampleRate;
    const samples = make(at);
    const buffer = context.createBuffer(1, samples.length, at);
    buffer.copyToChannel(samples as Float32Array<ArrayBuffer>, 0);
    const gain = context.createGain();
    gain.gain.value = 0.4;
    playing = context.createBufferSource();
    playing.buffer = buffer;
    playing.connect(gain).connect(context.destination);
    playing.start();
    return true;
  } catch {
    return false;
  }
}
