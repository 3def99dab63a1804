import FFT from 'fft.js';
import type { Curve } from './rational';
import { readCurve } from './read-curve';

/** A recording without the line that it was taken through: divided by the line's response, no further than the noise bears. */

/** Nothing is turned up by more than this over the rest, dB: noise of the recording comes up with it. */
export const MOST_UP_DB = 24;
/** Samples that are divided at a time, half of them new. */
const BLOCK = 1 << 16;

/** @returns samples as many as came in, about as loud */
export function withoutLine(recorded: Float32Array, line: Curve, rate: number): Float32Array {
  const { hz, re, im } = line;
  const fft = new FFT(BLOCK);
  // Largest in what is heard: everything else is turned up towards it.
  let most = 0;
  hz.forEach((f, k) => {
    if (f >= 40 && f <= 12_000) most = Math.max(most, Math.hypot(re[k], im[k]));
  });
  const floor = (most * 10 ** (-MOST_UP_DB / 20)) ** 2;
  const [dr, di] = [new Float64Array(BLOCK / 2), new Float64Array(BLOCK / 2)];
  const at = readCurve(line);
  for (let k = 1; k < BLOCK / 2; k++) {
    const [hr, hi] = at(Math.max((k * rate) / BLOCK, hz[0]));
    const size = Math.max(hr * hr + hi * hi, floor);
    dr[k] = (most * hr) / size;
    di[k] = (-most * hi) / size;
  }
  const out = new Float32Array(recorded.length);
  const input = new Array<number>(BLOCK);
  const [spectrum, samples] = [fft.createComplexArray(), fft.createComplexArray()];
  // Overlapping by half under a window whose halves add up to one, each with a quarter of nothing on either side for what rings.
  const quarter = BLOCK / 4;
  const half = BLOCK / 2;
  for (let from = -quarter; from < recorded.length + quarter; from += quarter) {
    for (let n = 0; n < BLOCK; n++) {
      const k = n - quarter;
      const inside = k >= 0 && k < half ? 0.5 - 0.5 * Math.cos((2 * Math.PI * k) / half) : 0;
      input[n] = inside === 0 ? 0 : inside * (recorded[from + k] ?? 0);
    }
    fft.realTransform(spectrum, input);
    spectrum[0] = spectrum[1] = 0;
    for (let k = 1; k < half; k++) {
      const [xr, xi] = [spectrum[2 * k], spectrum[2 * k + 1]];
      spectrum[2 * k] = xr * dr[k] - xi * di[k];
      spectrum[2 * k + 1] = xr * di[k] + xi * dr[k];
    }
    spectrum[BLOCK] = spectrum[BLOCK + 1] = 0;
    fft.completeSpectrum(spectrum);
    fft.inverseTransform(samples, spectrum);
    for (let n = 0; n < BLOCK; n++) {
      const place = from + n - quarter;
      if (place >= 0 && place < out.length) out[place] += samples[2 * n];
    }
  }
  return out;
}
