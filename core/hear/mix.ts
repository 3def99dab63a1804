import { programmeIn, type Room, roomNoiseAt } from '../rig/audible';
import { loudness, WANTED } from './loudness';
import { noiseRound } from './noise-round';

/** What is heard around a sound: the rest of a mix, and the noise of the place. */

/** Highest sample that is left of a mix, dB full scale. */
const CEILING_DB = -1;

/**
 * Sounds with the same bed under each: how loud they are against each other stays as it was matched.
 * @param sounds of one loudness, changed in place
 * @param bed one loop or more, gone through again and again
 * @param over how far the bed stands over each of them, LU
 */
export function mixInto(sounds: readonly Float32Array[], bed: Float32Array, over: number, rate: number): void {
  const [own, under] = [loudness([sounds[0]], rate), loudness([bed], rate)];
  if (!Number.isFinite(own) || !Number.isFinite(under)) return;
  const gain = 10 ** ((own + over - under) / 20);
  let peak = 0;
  for (const s of sounds)
    for (let n = 0; n < s.length; n++) {
      s[n] += gain * bed[n % bed.length];
      peak = Math.max(peak, Math.abs(s[n]));
    }
  const most = 10 ** (CEILING_DB / 20);
  if (peak <= most) return;
  for (const s of sounds) for (let n = 0; n < s.length; n++) s[n] *= most / peak;
}

/** Sounds brought to one loudness and added; of unlike lengths each goes round. @returns null where there are none */
export function bedOf(sounds: readonly Float32Array[], rate: number): Float32Array | null {
  if (sounds.length === 0) return null;
  const out = new Float32Array(sounds.reduce((most, s) => Math.max(most, s.length), 0));
  for (const s of sounds) {
    const loud = loudness([s], rate);
    if (!Number.isFinite(loud)) continue;
    const gain = 10 ** ((WANTED - loud) / 20);
    for (let n = 0; n < out.length; n++) out[n] += gain * s[n % s.length];
  }
  return out;
}

/**
 * Noise of a place as it stands against a programme that is played there as loud as usual: its own spectrum, from 30 Hz to 12 kHz.
 * @param own root mean square of the programme
 */
export function roomNoise(room: Room, own: number, rate: number): Float32Array {
  // An octave of this level, against the programme's, is 1/√2 of its middle wide.
  const power = (hz: number): number =>
    (10 ** ((roomNoiseAt(hz, room) - programmeIn(room)) / 10) * own * own) / (hz * Math.SQRT1_2);
  return Float32Array.from(noiseRound(power, 30, Math.min(12_000, rate / 2 - 1), rate, 4_021));
}
