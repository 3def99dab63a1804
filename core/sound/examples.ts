// Sound: samples made and samples read. Knows nothing of plans, screens or files on a disk.
import { mulberry32 } from '../judge/tolerance';
import { emfSpectrum } from '../rig/stray';
import type { Sound } from '../trace/hypotheses';

/** Short examples of noises, so that people can say by ear which is theirs. Made, not recorded. */

const HARMONICS = 40;
/** A switch-mode supply's whine: two tones beside each other, and some of the mains on them, Hz. */
const WHINE_HZ = [7800, 7950] as const;
/** Clicks a second of a bad contact. */
const CRACKLES = 14;

/**
 * @param mainsHz 50 or 60
 * @param rate samples a second
 * @returns samples between −1 and 1, their loudest at half of full scale
 */
export function exampleOf(sound: Sound, mainsHz: number, rate: number, seconds: number): Float32Array {
  const n = Math.round(rate * seconds);
  const out = new Float32Array(n);
  const random = mulberry32(sound.length * 97 + 5);
  const noise = (): number => random() * 2 - 1;
  const w = (2 * Math.PI) / rate;
  let held = 0;
  for (let k = 0; k < n; k++) {
    const mains = (h: number): number => Math.sin(w * mainsHz * h * k + h);
    switch (sound) {
      case 'hum':
        for (let h = 1; h <= HARMONICS; h += 2) out[k] += emfSpectrum(h, false) * mains(h);
        break;
      case 'buzz':
        for (let h = 1; h <= HARMONICS; h++) out[k] += emfSpectrum(h, true) ** 0.5 * mains(h) * (h < 3 ? 0.4 : 1);
        break;
      case 'whine':
        out[k] = WHINE_HZ.reduce((sum, f) => sum + Math.sin(w * f * k), 0) * (1 + 0.3 * mains(2));
        break;
      case 'hiss':
        out[k] = noise();
        break;
      case 'crackle':
        if (random() < CRACKLES / rate) held = noise() * 3;
        held *= Math.exp(-900 / rate);
        out[k] = held * noise() + 0.15 * mains(1);
        break;
      case 'radio': {
        // A voice-like swing on a tone, as a detected carrier has it.
        const syllable = Math.max(0, Math.sin(w * 3.1 * k)) * (0.6 + 0.4 * Math.sin(w * 0.7 * k));
        out[k] =
          syllable * (Math.sin(w * 180 * k) + 0.6 * Math.sin(w * 540 * k) + 0.4 * Math.sin(w * 1450 * k)) +
          0.1 * noise();
        break;
      }
    }
  }
  return scaled(out);
}

/** Samples whose loudest stands at half of full scale. */
export function scaled(samples: Float32Array): Float32Array {
  let peak = 0;
  for (const v of samples) peak = Math.max(peak, Math.abs(v));
  return samples.map((v) => (v / (peak || 1)) * 0.5);
}
