import FFT from 'fft.js';
import { weightOf } from './loudness';
import type { Curve } from './rational';
import { readCurve } from './read-curve';

/**
 * A loop through a line while a value is being turned: its response over the loop's own spectrum, so that nothing has to be fitted
 * and the loop has no seam. Clipping, hum and hiss are left out until it is made ready.
 */
export class LiveLoop {
  readonly #loop: Float32Array;
  readonly #fft: FFT;
  readonly #size: number;
  readonly #spectrum: number[];
  /** What comes out is as loud as this: K-weighted power. */
  readonly #loud: number;
  readonly #weights: Float64Array;

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
    this.#weights = Float64Array.from({ length: this.#size / 2 }, (_, k) => weightOf((k * rate) / this.#size, rate));
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

  /** What comes next, soon: a piece of the loop from a sample on, two seconds and more at 48 kHz. */
  piece(curve: Curve, from: number): Float32Array {
    const gain = this.#gain(curve);
    const fft = new FFT(PIECE);
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
    // Every fourth bin tells the power well enough: a hundredth of a decibel.
    for (let k = 1; k < this.#size / 2; k += 4) {
      const [re, im] = at((k * this.rate) / this.#size);
      const size = this.#spectrum[2 * k] ** 2 + this.#spectrum[2 * k + 1] ** 2;
      sum += size * (re * re + im * im) * this.#weights[k];
    }
    return sum;
  }
}

/** What rings on is over by then, seconds. */
const RING = 1;
/** Samples of a piece, and of what runs in before it and is not heard. */
const PIECE = 1 << 17;
const WARM = 1 << 15;

function spectrumOf(fft: FFT, x: Float32Array): number[] {
  const input = new Array<number>(fft.size).fill(0);
  for (let n = 0; n < x.length; n++) input[n] = x[n];
  const out = fft.createComplexArray();
  fft.realTransform(out, input);
  return out;
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
