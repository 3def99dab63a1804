import { type Curve, fitRational } from './rational';
import type { Stage, Transfer } from './transfer';
import { noiseRound } from './noise-round';
import { twiceOf } from './twice';
import { type Ready, Way } from './way';

/** A sound through a line as it is planned: its response, its stages’ limits, its hum and its hiss, as volts at the input. */

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

/** Samples of a sound that are rendered at a time: an hour takes no more room than these, beside itself. */
const PIECE = 1 << 18;

/**
 * @param sound samples, −1 to 1; loudness does not matter
 * @param gain volts of EMF for a sample of 1, as `gainFor` gives it
 * @param told how much of it is done, 0 to 1, now and then
 * @param piece samples at a time; what comes out is the same
 * @returns volts at the input, as many samples as the sound
 */
export function render(
  to: Ready,
  sound: Float32Array,
  gain: number,
  heard: With,
  told: (share: number) => void = () => undefined,
  piece = PIECE
): Float32Array {
  const { stages, rail } = to.transfer;
  const loudest = Math.min(peakOf(sound) * gain, rail);
  // What is far from its bounds whatever the sound is needs not be looked at, as long as nothing before it bends the sound.
  const near = stages.map((stage) => loudest * mostOf(stage.curve) * SURELY >= boundOf(stage));
  const first = near.indexOf(true);
  const out = new Float32Array(sound.length);
  const bent = (watched: readonly boolean[]): boolean => {
    const way = new Way(to, watched);
    let at = 0;
    for (let from = 0; from < sound.length; from += piece) {
      const end = Math.min(from + piece, sound.length);
      const emf = twiceOf(sound, from, end);
      for (let n = 0; n < emf.length; n++) emf[n] *= gain;
      const some = way.take(emf, end === sound.length);
      out.set(some, at);
      at += some.length;
      if (way.bent && watched.slice(first).includes(false)) return true;
      told(end / sound.length);
    }
    return false;
  };
  // Once something is bent, all behind it hears it bent: from the beginning again.
  if (bent(near)) bent(stages.map((_, k) => k >= first));
  if (heard.hiss && to.transfer.hiss) addRound(out, hissOf(to.transfer.hiss, to.rate / 2));
  if (heard.hum) addRound(out, humOf(heard.hum, to.rate / 2));
  return out;
}

/** Adds what comes round again and again. */
function addRound(out: Float32Array, round: Float64Array | Float32Array): void {
  for (let n = 0, at = 0; n < out.length; n++) {
    out[n] += round[at];
    if (++at === round.length) at = 0;
  }
}

/** A sound may stand higher behind a filter than its loudest sample times the highest of the response; by no more than this in practice. */
const SURELY = 2;
const peakOf = (x: Float32Array): number => {
  let most = 0;
  for (let n = 0; n < x.length; n++) if (x[n] > most || -x[n] > most) most = Math.abs(x[n]);
  return most;
};
const mostOf = ({ re, im }: Curve): number => re.reduce((most, r, k) => Math.max(most, Math.hypot(r, im[k])), 0);
/** A core is bent long before it is full, and the more the deeper a note is: a tenth of what it takes at 20 Hz. */
const boundOf = ({ most, lowest }: Stage): number => (lowest === null ? most : (0.1 * most * 20) / lowest);

/** Hiss with its own spectrum between 20 Hz and 20 kHz, as the board has it. The same for the same line, so that two renderings differ by what differs. */
function hissOf({ hz, density }: NonNullable<Transfer['hiss']>, rate: number): Float64Array {
  const steps = (hz.length - 1) / Math.log(hz[hz.length - 1] / hz[0]);
  const power = (f: number): number => {
    const at = Math.log(f / hz[0]) * steps;
    const low = Math.min(Math.floor(at), hz.length - 2);
    return (density[low] + (density[low + 1] - density[low]) * (at - low)) ** 2;
  };
  return noiseRound(power, 20, Math.min(20_000, rate / 2 - 1), rate, 20_461);
}

function humOf({ spectrum, mainsHz }: NonNullable<With['hum']>, rate: number): Float64Array {
  // The mains goes round in so many samples, and all its harmonics with it; where that is no whole number, in ten rounds.
  const once = rate / mainsHz;
  const rounds = Number.isInteger(once) ? 1 : 10;
  const period = new Float64Array(Math.round(once * rounds));
  spectrum.forEach((dbu, k) => {
    const volts = DBU * 10 ** (dbu / 20) * Math.SQRT2;
    const hz = mainsHz * (k + 1);
    if (dbu <= -190 || hz >= rate / 2) return;
    // Where each harmonic begins is nobody’s to know; the same every time.
    const turn = 2.399963 * (k + 1);
    const w = (2 * Math.PI * (k + 1) * rounds) / Math.round(once * rounds);
    for (let n = 0; n < period.length; n++) period[n] += volts * Math.sin(w * n + turn);
  });
  return period;
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
