import { type Heard, ratioOf } from './sweep';

/** What is full scale, in volts: by one voltage that somebody has read. */

/** The tone that a multimeter reads, hertz; most read it rightly up to here. */
export const TONE_HZ = 1000;
const SECONDS = 6;
const FADE = 0.4;

/** @param level peak, of full scale @returns samples that come in softly */
export function knownTone(level: number, rate: number): Float32Array {
  const n = Math.round(SECONDS * rate);
  return Float32Array.from({ length: n }, (_, k) => {
    const t = k / rate;
    const edge = Math.min(1, t / FADE, (SECONDS - t) / FADE);
    return level * Math.sin((Math.PI / 2) * edge) ** 2 * Math.sin(2 * Math.PI * TONE_HZ * t);
  });
}

/** Volts RMS of a full-scale sine at the output. @param volts RMS, as it was read @param level that the tone was played at, of full scale */
export const outputFull = (volts: number, level: number): number => volts / level;

/** Volts RMS of a sine that fills the input. @param loop what came back from output to input */
export const inputFull = (full: number, loop: Heard): number => full / ratioOf(loop, TONE_HZ);
