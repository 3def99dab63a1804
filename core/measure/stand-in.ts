import FFT from 'fft.js';
import { mulberry32 } from '../judge/tolerance';
import { normalDraw } from '../linecheck/normal';
import { type Complex, divide } from '../solver/system';
import { beside, plus, real, times } from './complex';
import { curveOf } from './devices';
import { modelOf } from '../gear/catalogue';
import { CORE_HZ } from './core-tone';
import { hasCore, type MeasuredKind, soughtOf } from './kinds';
import type { Patch } from './plug';
import { SWEEP, TAIL } from './sweep';

/**
 * An interface with a device at it, both with values that nobody is told: what is played into it comes back late, coloured, and with
 * noise. Plays the part of converter, lead and device in tests, and for whoever wants to try without gear.
 */

export interface Hidden {
  readonly kind: MeasuredKind;
  readonly model: string;
  readonly values: Readonly<Record<string, number>>;
  readonly metres: number;
  /** −1 where its legs are swapped. */
  readonly sign: 1 | -1;
  /** Third harmonic it makes at full scale, of the fundamental. */
  readonly third: number;
  /** Rejection of what both legs carry, dB. */
  readonly cmrr: number;
  /** What comes over from the input beside at 1 kHz, dB below it; it rises with frequency. */
  readonly crosstalk: number;
  /** A full-scale sine at its output, volts RMS. */
  readonly full: number;
  /** Level that fills the core of the device at 20 Hz, volts RMS; null where it has none. */
  readonly saturation: number | null;
}

/** Noise below full scale, dB. */
const NOISE_DB = -80;
/** Values of a device lie so far from what its class has, as a ratio, at the most. */
const APART = 1.6;

export class StandIn {
  readonly hidden: Hidden;
  readonly seed: number;
  readonly rate = SWEEP.rate;
  readonly #out: number;
  readonly #in: number;
  readonly #inFarad: number;
  readonly #late: number;
  readonly #low: number;
  readonly #tilt: number;
  readonly #random: () => number;

  constructor(seed: number, kind: MeasuredKind, model: string) {
    this.seed = seed;
    const random = (this.#random = mulberry32(seed * 7919 + 17));
    const between = (low: number, high: number): number => low * (high / low) ** random();
    const values = Object.fromEntries(
      soughtOf(kind, model).map(({ param, typ }) => [param, typ * between(1 / APART, APART)])
    );
    const told = {
      ...{ kind, model, values, metres: between(2, 20) },
      ...{ sign: random() < 0.3 ? (-1 as const) : (1 as const), third: between(1e-4, 3e-3), cmrr: 40 + 40 * random() }
    };
    this.#out = between(40, 250);
    this.#in = between(0.6e6, 2e6);
    this.#inFarad = between(80e-12, 250e-12);
    this.#late = 200 + 900 * random();
    this.#low = between(1.5, 6);
    this.#tilt = 0.3 * (2 * random() - 1);
    const core = hasCore(kind, model) ? modelOf(model).params.saturation.typ * between(1 / APART, APART) : null;
    this.hidden = { ...told, saturation: core, crosstalk: 55 + 15 * random(), full: between(1.2, 7) };
  }

  /** Noise and all; as long as what was played. */
  play(played: Float32Array, patch: Patch): Float32Array {
    const size = 2 ** Math.ceil(Math.log2(played.length + TAIL * this.rate));
    const fft = new FFT(size);
    const bent =
      patch.is === 'through' ? this.#bent(played) : patch.is === 'core' ? this.#filled(played, CORE_HZ) : played;
    const input = new Array<number>(size).fill(0);
    bent.forEach((v, n) => (input[n] = v));
    const x = fft.createComplexArray();
    fft.realTransform(x, input);
    const gain = this.#response(patch, size);
    const y = fft.createComplexArray();
    y[0] = y[1] = 0;
    for (let k = 1; k < size / 2; k++) {
      const [re, im] = times([x[2 * k], x[2 * k + 1]], gain(k));
      [y[2 * k], y[2 * k + 1], y[2 * (size - k)], y[2 * (size - k) + 1]] = [re, im, re, -im];
    }
    y[size] = y[size + 1] = 0;
    const back = fft.createComplexArray();
    fft.inverseTransform(back, y);
    const noise = 10 ** (NOISE_DB / 20);
    return Float32Array.from(played, (_, n) => back[2 * n] + noise * normalDraw(this.#random));
  }

  /** A little of a cubic: third harmonic of so much at full scale. */
  #bent(played: Float32Array): Float32Array {
    return played.map((v) => v + 4 * this.hidden.third * v ** 3);
  }

  /** A core that fills by a low tone: a cubic up to where it is full, and flat from there. */
  #filled(played: Float32Array, hz: number): Float32Array {
    const { saturation, full } = this.hidden;
    // Of full scale, peak: flux falls with frequency.
    const c = ((saturation ?? Infinity) / full) * (hz / 20);
    return played.map((v) => (Math.abs(v) < c ? v - v ** 3 / (3 * c * c) : Math.sign(v) * c * (2 / 3)));
  }
  /** What a multimeter at its output reads of a tone, volts RMS. @param level peak, of full scale */
  multimeter(level: number): number {
    return this.hidden.full * level;
  }

  /** Of the whole way, by bins. */
  #response(patch: Patch, size: number): (k: number) => Complex {
    const step = this.rate / size;
    // The device is solved at points and read between them: nothing in it is narrower.
    const points = Array.from({ length: 181 }, (_, k) => 5 * (24_000 / 5) ** (k / 180));
    const of = this.hidden;
    const device =
      patch.is === 'across' || patch.is === 'through' || patch.is === 'core'
        ? curveOf(of.kind, of.model, of.values, points, of.metres)
        : null;
    return (k) => {
      const hz = k * step;
      const w = 2 * Math.PI * hz;
      const into = divide([this.#in, 0], [1, w * this.#in * this.#inFarad]);
      const out = real(this.#out);
      const at = device && between(points, device, hz);
      const divided = (upper: Complex, lower: Complex): Complex => divide(lower, plus(upper, lower));
      const way =
        patch.is === 'loop'
          ? divided(out, into)
          : patch.is === 'loaded'
            ? divided(out, beside(into, real(patch.load)))
            : patch.is === 'open'
              ? divided(plus(out, real(patch.series)), into)
              : patch.is === 'across'
                ? divided(plus(out, real(patch.series)), beside(into, at!))
                : patch.is === 'through' || patch.is === 'core'
                  ? times(at!, real(of.sign))
                  : times(
                      divided(out, into),
                      real(patch.is === 'common' ? 10 ** (-of.cmrr / 20) : (hz / 1000) * 10 ** (-of.crosstalk / 20))
                    );
      // The converter: its corner below, a tilt, and its delay.
      const octaves = Math.log2(Math.max(hz, 20) / 1000);
      const colour = times(divide([0, hz], [this.#low, hz]), real(10 ** ((this.#tilt * octaves) / 3 / 20)));
      const delay = -w * (this.#late / this.rate);
      return times(times(way, colour), [Math.cos(delay), Math.sin(delay)]);
    };
  }
}

/** Between two points of a complex curve, by the logarithm of frequency. */
function between(points: readonly number[], curve: readonly Complex[], hz: number): Complex {
  const last = points.length - 1;
  const t = (Math.log(hz / points[0]) / Math.log(points[last] / points[0])) * last;
  const k = Math.min(Math.max(Math.floor(t), 0), last - 1);
  const share = Math.min(Math.max(t - k, 0), 1);
  const [a, b] = [curve[k], curve[k + 1]];
  // Magnitude and phase each between theirs: a straight line between two far points cuts the corner.
  const [la, lb] = [Math.log(Math.hypot(...a)), Math.log(Math.hypot(...b))];
  const [pa, pb] = [Math.atan2(a[1], a[0]), Math.atan2(b[1], b[0])];
  const turn = Math.atan2(Math.sin(pb - pa), Math.cos(pb - pa));
  const size = Math.exp(la + share * (lb - la));
  const phase = pa + share * turn;
  return [size * Math.cos(phase), size * Math.sin(phase)];
}
