import FFT from 'fft.js';
import { mulberry32 } from '../judge/tolerance';

/** So many samples of noise are made, and gone through again: five seconds and more, of which nobody hears that they come back. */
const ROUND = 1 << 18;

/**
 * Noise of a spectrum, made bin by bin, for noise has no phase to keep. The same for the same seed.
 * @param power volts squared a hertz at a frequency
 * @param from, to hertz, both within it
 * @param rate samples a second
 */
export function noiseRound(
  power: (hz: number) => number,
  from: number,
  to: number,
  rate: number,
  seed: number
): Float64Array {
  const fft = new FFT(ROUND);
  const spectrum = fft.createComplexArray();
  spectrum.fill(0);
  const random = mulberry32(seed);
  const bin = rate / ROUND;
  for (let k = Math.ceil(from / bin); k * bin <= to; k++) {
    // Two normal deviates at a time, Box and Muller.
    const size = ROUND * Math.sqrt((power(k * bin) * bin) / 4) * Math.sqrt(-2 * Math.log(1 - random()));
    const turn = 2 * Math.PI * random();
    const [re, im] = [size * Math.cos(turn), size * Math.sin(turn)];
    [spectrum[2 * k], spectrum[2 * k + 1]] = [re, im];
    [spectrum[2 * (ROUND - k)], spectrum[2 * (ROUND - k) + 1]] = [re, -im];
  }
  const samples = fft.createComplexArray();
  fft.inverseTransform(samples, spectrum);
  const out = new Float64Array(ROUND);
  for (let n = 0; n < ROUND; n++) out[n] = samples[2 * n];
  return out;
}
