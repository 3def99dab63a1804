import FFT from 'fft.js';
import { weightOf } from './loudness';
import type { Curve } from './rational';
import { readCurve } from './read-curve';
import { spectrumOf } from './spectrum';

/**
 * A loop through a line while a value is being turned: its response over the loop's own spectrum, so that nothing has to be fitted
 * and the loop has no seam. Clipping, hum and hiss are left out until it is made ready.
 */
export class LiveLoop {
  readonly #loop: Float32Array;
  readonly #fft: FFT;
  readonly #size: number;
  readonly #spectrum: number[];
  readonly #short = new FFT(PIECE);
  /** What comes out is as loud as this: K-weighted power. */
  readonly #loud: number;
  /** The loop's own K-weighted power, band by band. */
  readonly #bands: readonly Band[];

  /** @param loop samples @param first the response that all others are set as loud as @param rate samples a second */
  constructor(
    loop: Float32Array,
    first: Curve,
    readonly rate: number
  ) {
    this.#loop = loop;
    // Room for what rings on behind the end, which belongs to the beginning.
    this.#size = 2 ** Math.ceil(Math.log2(loop.length + RING * rate));
    this.#fft = new FFT(this.#size);
    this.#spectrum = spectrumOf(this.#fft, loop);
    this.#bands = bandsOf(this.#spectrum, rate);
    this.#loud = this.#power(first);
  }

  /** The whole loop through a response. */
  whole(curve: Curve): Float32Array {
    const gain = this.#gain(curve);
    const y = through(this.#fft, this.#spectrum, curve, this.rate);
    const out = new Float32Array(this.#loop.length);
    for (let n = 0; n < this.#size; n++) out[n % out.length] += gain * y[2 * n];
    return out;
  }

  /** What comes next, soon: a piece of the loop from a sample on, a second and more at 48 kHz. */
  piece(curve: Curve, from: number): Float32Array {
    const gain = this.#gain(curve);
    const fft = this.#short;
    const x = new Float32Array(PIECE);
    const { length } = this.#loop;
    for (let n = 0; n < PIECE; n++) x[n] = this.#loop[(((from - WARM + n) % length) + length) % length];
    const y = through(fft, spectrumOf(fft, x), curve, this.rate);
    return Float32Array.from({ length: PIECE - WARM }, (_, n) => gain * y[2 * (n + WARM)]);
  }

  #gain(curve: Curve): number {
    const power = this.#power(curve);
    return power > 0 ? Math.sqrt(this.#loud / power) : 0;
  }
  #power(curve: Curve): number {
    const at = readCurve(curve);
    let sum = 0;
    for (const { hz, power } of this.#bands) {
      const [re, im] = at(hz);
      sum += power * (re * re + im * im);
    }
    return sum;
  }
}

/** What rings on is over by then, seconds. */
const RING = 1;
/** Samples of a piece, and of what runs in before it and is not heard. */
const PIECE = 1 << 16;
const WARM = 1 << 14;

interface Band {
  readonly hz: number;
  readonly power: number;
}
/** Bands this wide, of an octave: a response hardly changes within one. */
const OCTAVE_PARTS = 48;

/** How the K-weighted power of a spectrum lies over frequency: each band with where the middle of its power is. */
function bandsOf(spectrum: readonly number[], rate: number): Band[] {
  const size = spectrum.length / 2;
  const bands: Band[] = [];
  let [band, power, moment] = [-1, 0, 0];
  const close = (): void => {
    if (power > 0) bands.push({ hz: moment / power, power });
    [power, moment] = [0, 0];
  };
  for (let k = 1; k < size / 2; k++) {
    const hz = (k * rate) / size;
    const here = Math.floor(OCTAVE_PARTS * Math.log2(hz));
    if (here !== band) close();
    band = here;
    const p = (spectrum[2 * k] ** 2 + spectrum[2 * k + 1] ** 2) * weightOf(hz, rate);
    power += p;
    moment += p * hz;
  }
  close();
  return bands;
}

/** A spectrum times a response, back to samples (complex, the imaginary parts nothing). */
function through(fft: FFT, spectrum: readonly number[], curve: Curve, rate: number): number[] {
  const { size } = fft;
  const at = readCurve(curve);
  const product = fft.createComplexArray();
  product.fill(0);
  for (let k = 1; k < size / 2; k++) {
    const [hr, hi] = at((k * rate) / size);
    const [xr, xi] = [spectrum[2 * k], spectrum[2 * k + 1]];
    product[2 * k] = xr * hr - xi * hi;
    product[2 * k + 1] = xr * hi + xi * hr;
    product[2 * (size - k)] = product[2 * k];
    product[2 * (size - k) + 1] = -product[2 * k + 1];
  }
  const y = fft.createComplexArray();
  fft.inverseTransform(y, product);
  return y;
}
