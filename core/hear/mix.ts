import FFT from 'fft.js';
import { mulberry32 } from '../judge/tolerance';
import { programmeIn, type Room, roomNoiseAt } from '../rig/audible';
import { loudness, WANTED } from './loudness';

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

/** Samples of noise that go round. */
const ROUND = 1 << 18;

/**
 * Noise of a place as it stands against a programme that is played there as loud as usual: its own spectrum, made bin by bin.
 * @param own root mean square of the programme
 */
export function roomNoise(room: Room, own: number, rate: number): Float32Array {
  const fft = new FFT(ROUND);
  const spectrum = fft.createComplexArray();
  spectrum.fill(0);
  const random = mulberry32(4_021);
  const bin = rate / ROUND;
  for (let k = Math.ceil(30 / bin); k * bin < Math.min(12_000, rate / 2); k++) {
    // Density in an octave of this level, against the programme's.
    const hz = k * bin;
    const power = 10 ** ((roomNoiseAt(hz, room) - programmeIn(room)) / 10) * own * own * (bin / (hz * Math.SQRT1_2));
    const size = ROUND * Math.sqrt(power / 2) * Math.sqrt(-Math.log(1 - random()));
    const turn = 2 * Math.PI * random();
    const [re, im] = [size * Math.cos(turn), size * Math.sin(turn)];
    [spectrum[2 * k], spectrum[2 * k + 1]] = [re, im];
    [spectrum[2 * (ROUND - k)], spectrum[2 * (ROUND - k) + 1]] = [re, -im];
  }
  const samples = fft.createComplexArray();
  fft.inverseTransform(samples, spectrum);
  return Float32Array.from({ length: ROUND }, (_, n) => samples[2 * n]);
}
