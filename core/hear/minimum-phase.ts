import FFT from 'fft.js';

/** A magnitude with the phase of the system that answers soonest: Hilbert transform of its logarithm by the cepstrum (Oppenheim and Schafer). */

const SIZE = 1 << 16;
/** Over so many samples a second: an octave and more above what is heard, so that its end does not show in the band. */
const RATE = 192_000;
/** Quieter than this is taken for this, dB. */
const FLOOR_DB = -140;

/**
 * @param dbAt magnitude in dB at a frequency in hertz, above 0
 * @param hz where the phase is wanted
 * @returns phase in radians
 */
export function minimumPhase(dbAt: (hz: number) => number, hz: Float64Array): Float64Array {
  const fft = new FFT(SIZE);
  const spectrum = fft.createComplexArray();
  const half = SIZE / 2;
  for (let k = 0; k <= half; k++) {
    const db = Math.max(dbAt(Math.max(k, 0.25) * (RATE / SIZE)), FLOOR_DB);
    const log = (db * Math.LN10) / 20;
    spectrum[2 * k] = log;
    spectrum[2 * k + 1] = 0;
    const mirror = (SIZE - k) % SIZE;
    spectrum[2 * mirror] = log;
    spectrum[2 * mirror + 1] = 0;
  }
  const cepstrum = fft.createComplexArray();
  fft.inverseTransform(cepstrum, spectrum);
  for (let n = 1; n < half; n++) {
    cepstrum[2 * n] *= 2;
    cepstrum[2 * n + 1] *= 2;
    cepstrum[2 * (SIZE - n)] = 0;
    cepstrum[2 * (SIZE - n) + 1] = 0;
  }
  fft.transform(spectrum, cepstrum);
  return hz.map((f) => {
    const at = Math.min(f / (RATE / SIZE), half - 1);
    const k = Math.floor(at);
    return spectrum[2 * k + 1] + (at - k) * (spectrum[2 * k + 3] - spectrum[2 * k + 1]);
  });
}
