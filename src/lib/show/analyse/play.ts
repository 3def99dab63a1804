import { exampleOf } from '$core/sound/examples';
import type { Sound } from '$core/trace/hypotheses';

let context: AudioContext | undefined;
let playing: AudioBufferSourceNode | undefined;
const SECONDS = 1.6;

/** Plays an example of a noise, quietly; a second one ends the first. @returns false where nothing can be heard here */
export const playExample = (sound: Sound, mainsHz: number): Promise<boolean> =>
  play((rate) => exampleOf(sound, mainsHz, rate, SECONDS));

/** Plays samples, quietly. @param make for the rate at which they will be played */
export async function play(make: (rate: number) => Float32Array): Promise<boolean> {
  try {
    context ??= new AudioContext();
    await context.resume();
    playing?.stop();
    const samples = make(context.sampleRate);
    const buffer = context.createBuffer(1, samples.length, context.sampleRate);
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
