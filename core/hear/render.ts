import FFT from 'fft.js';
import { mulberry32 } from '../judge/tolerance';
import { nearSaturation, railed, saturated } from './bound';
import { type Curve, fitRational, type Rational } from './rational';
import { runFilter } from './run';
import type { Stage, Transfer } from './transfer';
import { half, twice } from './twice';

/** A sound through a line as it is planned: its response, its stages’ limits, its hum and its hiss, as volts at the input. */

/** A line made ready to be heard, once for all sounds. */
export interface Ready {
  readonly transfer: Transfer;
  /** Twice the rate of the sounds. */
  readonly rate: number;
  readonly out: Rational;
  /** Fits of stages, and of one point over another, made when they are needed. */
  readonly fits: Map<string, Rational>;
}

/** @param rate samples a second of the sounds */
export const ready = (transfer: Transfer, rate: number): Ready => ({
  transfer,
  rate: 2 * rate,
  out: fitRational(transfer.out, 2 * rate),
  fits: new Map()
});

/** Which of the noises of a line are heard with it. */
export interface With {
  /** Hum at the input by harmonic of the mains, dBu, and the mains; null for none. */
  readonly hum: { readonly spectrum: readonly number[]; readonly mainsHz: number } | null;
  readonly hiss: boolean;
}

/** Volts RMS of 0 dBu. */
const DBU = Math.sqrt(0.6);

/**
 * @param sound samples, −1 to 1; loudness does not matter
 * @param gain volts of EMF for a sample of 1, as `gainFor` gives it
 * @returns volts at the input, as many samples as the sound
 */
export function render(to: Ready, sound: Float32Array, gain: number, heard: With): Float32Array {
  const { transfer, rate } = to;
  const emf = twice(sound);
  for (let n = 0; n < emf.length; n++) emf[n] *= gain;
  const x = Number.isFinite(transfer.rail) ? railed(emf, transfer.rail) : emf;
  const y = runFilter(to.out, x);
  // What a stage takes off goes on from there as the signal would: added behind, it is as if the stage had bent the whole.
  const lost: { readonly stage: Stage; readonly at: number; readonly error: Float64Array }[] = [];
  const loudest = peakOf(x);
  transfer.stages.forEach((stage, at) => {
    // What is far from its bounds whatever the sound is needs not be looked at.
    if (lost.length === 0 && loudest * mostOf(stage.curve) * SURELY < boundOf(stage)) return;
    const v = runFilter(
      fitOf(to, `${at}`, () => stage.curve),
      x
    );
    for (const before of lost)
      add(
        v,
        runFilter(
          fitOf(to, `${at}/${before.at}`, () => over(stage.curve, before.stage.curve)),
          before.error
        )
      );
    const error = errorOf(stage, v, rate);
    if (error) lost.push({ stage, at, error });
  });
  for (const { stage, at, error } of lost)
    add(
      y,
      runFilter(
        fitOf(to, `out/${at}`, () => over(transfer.out, stage.curve)),
        error
      )
    );
  const out = half(y);
  if (heard.hiss && transfer.hiss) hissInto(out, to, rate / 2);
  if (heard.hum) humInto(out, heard.hum, rate / 2);
  return out;
}

/** A sound may stand higher behind a filter than its loudest sample times the highest of the response; by no more than this in practice. */
const SURELY = 2;
const peakOf = (x: Float64Array): number => {
  let most = 0;
  for (let n = 0; n < x.length; n++) if (x[n] > most || -x[n] > most) most = Math.abs(x[n]);
  return most;
};
const mostOf = ({ re, im }: Curve): number => re.reduce((most, r, k) => Math.max(most, Math.hypot(r, im[k])), 0);
/** A core is bent long before it is full, and the more the deeper a note is: a tenth of what it takes at 20 Hz. */
const boundOf = ({ most, lowest }: Stage): number => (lowest === null ? most : (0.1 * most * 20) / lowest);

function errorOf({ most, lowest }: Stage, v: Float64Array, rate: number): Float64Array | null {
  if (lowest === null) {
    if (!v.some((u) => u > most || u < -most)) return null;
    return railed(v, most).map((u, n) => u - v[n]);
  }
  if (!nearSaturation(v, most, lowest, rate)) return null;
  return saturated(v, most, lowest, rate).map((u, n) => u - v[n]);
}

function fitOf(to: Ready, key: string, curve: () => Curve): Rational {
  const known = to.fits.get(key);
  if (known) return known;
  const made = fitRational(curve(), to.rate);
  to.fits.set(key, made);
  return made;
}

function add(into: Float64Array, what: Float64Array): void {
  for (let n = 0; n < into.length; n++) into[n] += what[n];
}

/** One curve over another; where the other has nothing left, nothing. */
function over(a: Curve, b: Curve): Curve {
  const out = { hz: a.hz, re: new Float64Array(a.hz.length), im: new Float64Array(a.hz.length) };
  a.hz.forEach((_, k) => {
    const size = b.re[k] ** 2 + b.im[k] ** 2;
    if (size < 1e-24) return;
    out.re[k] = (a.re[k] * b.re[k] + a.im[k] * b.im[k]) / size;
    out.im[k] = (a.im[k] * b.re[k] - a.re[k] * b.im[k]) / size;
  });
  return out;
}

/** So many samples of hiss are made, and gone through again: five seconds and more, of which nobody hears that they come back. */
const ROUND = 1 << 18;

/**
 * Hiss with its own spectrum between 20 Hz and 20 kHz, as the board has it: made bin by bin, for noise has no phase to keep. The same for the same line,
 * so that two renderings differ by what differs.
 */
function hissInto(out: Float32Array, to: Ready, rate: number): void {
  const { hz, density } = to.transfer.hiss!;
  const fft = new FFT(ROUND);
  const spectrum = fft.createComplexArray();
  spectrum.fill(0);
  const random = mulberry32(20_461);
  const bin = rate / ROUND;
  const steps = (hz.length - 1) / Math.log(hz[hz.length - 1] / hz[0]);
  const top = Math.min(20_000, rate / 2 - bin);
  for (let k = Math.ceil(20 / bin); k * bin <= top; k++) {
    const at = Math.log((k * bin) / hz[0]) * steps;
    const low = Math.min(Math.floor(at), hz.length - 2);
    const here = density[low] + (density[low + 1] - density[low]) * (at - low);
    // Two normal deviates at a time, Box and Muller.
    const size = ROUND * here * Math.sqrt(bin / 4) * Math.sqrt(-2 * Math.log(1 - random()));
    const turn = 2 * Math.PI * random();
    const [re, im] = [size * Math.cos(turn), size * Math.sin(turn)];
    spectrum[2 * k] = re;
    spectrum[2 * k + 1] = im;
    spectrum[2 * (ROUND - k)] = re;
    spectrum[2 * (ROUND - k) + 1] = -im;
  }
  const samples = fft.createComplexArray();
  fft.inverseTransform(samples, spectrum);
  for (let n = 0; n < out.length; n++) out[n] += samples[2 * (n % ROUND)];
}

function humInto(out: Float32Array, { spectrum, mainsHz }: NonNullable<With['hum']>, rate: number): void {
  // The mains goes round in so many samples, and all its harmonics with it; where that is no whole number, in ten rounds.
  const once = rate / mainsHz;
  const rounds = Number.isInteger(once) ? 1 : 10;
  const period = new Float64Array(Math.min(Math.round(once * rounds), out.length));
  spectrum.forEach((dbu, k) => {
    const volts = DBU * 10 ** (dbu / 20) * Math.SQRT2;
    const hz = mainsHz * (k + 1);
    if (dbu <= -190 || hz >= rate / 2) return;
    // Where each harmonic begins is nobody’s to know; the same every time.
    const turn = 2.399963 * (k + 1);
    const w = (2 * Math.PI * (k + 1) * rounds) / Math.round(once * rounds);
    for (let n = 0; n < period.length; n++) period[n] += volts * Math.sin(w * n + turn);
  });
  for (let n = 0; n < out.length; n++) out[n] += period[n % period.length];
}

/** Volts of EMF for a sample of 1, so that a sound is played as loud as the source is on average. @param nominal volts RMS */
export function gainFor(sound: Float32Array, nominal: number): number {
  const rms = loudRms(sound);
  return rms > 0 ? nominal / rms : 0;
}

/** Stretches of this long are looked at, samples. */
const STRETCH = 4800;
/** What is this far below the loudest stretch is a pause, dB. */
const PAUSE_DB = -20;
/** RMS of what is played, pauses left out. */
export function loudRms(sound: Float32Array): number {
  const powers: number[] = [];
  for (let from = 0; from < sound.length; from += STRETCH) {
    const some = sound.subarray(from, from + STRETCH);
    powers.push(some.reduce((sum, v) => sum + v * v, 0) / some.length);
  }
  const most = powers.reduce((a, b) => Math.max(a, b), 0);
  const loud = powers.filter((p) => p > most * 10 ** (PAUSE_DB / 10));
  return loud.length === 0 ? 0 : Math.sqrt(loud.reduce((a, b) => a + b, 0) / loud.length);
}
