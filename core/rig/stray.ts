import type { Node } from '../solver/network';
import type { Policy } from '../plan/schema';

/**
 * One way in for the mains besides the EMFs of supplies, as EMFs in series with parts that are in the network.
 * `leak`: half the mains behind a class II supply's interference capacitor. `electric`: mains wiring beside something.
 * `winding`, `cable`: a stray field through a coil, through the area between a cable and its ground, or between its cores.
 */
export interface HumSource {
  readonly kind: 'leak' | 'electric' | 'winding' | 'cable';
  /** Device, cable or host it is of. */
  readonly of: string;
  /** Turns times area for fields, m². */
  readonly m2: number;
  readonly parts: readonly HumPart[];
}
/** The EMF is + towards a, in series with the ohms or farads between a and b; `share` of it where not all. */
export interface HumPart {
  readonly a: Node;
  readonly b: Node;
  readonly ohm?: number;
  readonly farad?: number;
  readonly share?: number;
  /** A core of a cable, not its shield. */
  readonly core?: true;
  /** Phase of the mains that drives it, 1 to 3; 1 where it is not known. */
  readonly phase?: Phase;
}

export type Phase = 1 | 2 | 3;
/** A supply's phase at a harmonic, as a turn: 120° each at the mains frequency (IEC 60038), none at every third harmonic. */
export function phaseTurn(phase: Phase, h: number): readonly [re: number, im: number] {
  const angle = (-2 * Math.PI * h * (phase - 1)) / 3;
  return [Math.cos(angle), Math.sin(angle)];
}

/** Class II: interference capacitor from the middle of the mains, farads; up to 0.25 mA flows (IEC 60335-1). */
export const CLASS_2_FARAD = 2e-9;
/** Mains voltages, V RMS (IEC 60038). */
const MAINS_VOLTS: Readonly<Record<Policy['mainsHz'], number>> = { 50: 230, 60: 120 };
/** Stray field on a usual stage, T RMS at the mains frequency: 0.1 to 1 µT (H. W. Ott, ch. 1). */
const FIELD_TESLA = 0.3e-6;
const AMBIENT: Readonly<Record<NonNullable<Policy['ambient']>, number>> = { none: 0, usual: 1, strong: 3.3 };
/** Height of the loop that a cable on the floor makes with what its ends are earthed by, metres. */
export const CABLE_LOOP_METRES = 0.3;

/** Harmonics of the mains that are counted. */
export const HARMONICS = 20;

const even = (h: number): boolean => h % 2 === 0;

/** Share of the fundamental in a supply's earth EMF: clean, odd harmonics falling 12 dB an octave; with dimmers 6 dB, and even ones. */
export function emfSpectrum(h: number, dimmers: boolean): number {
  if (dimmers) return (even(h) ? 10 ** (-10 / 20) : 1) / h;
  return even(h) ? 0 : 1 / (h * h);
}

/** Limits of odd harmonics in the mains voltage (EN 50160), halved: what is usually found. */
const VOLTAGE: Readonly<Record<number, number>> = {
  1: 1,
  3: 0.025,
  5: 0.03,
  7: 0.025,
  9: 0.0075,
  11: 0.0175,
  13: 0.015,
  15: 0.0025,
  17: 0.01,
  19: 0.0075
};

/**
 * EMF of a stray source at a harmonic, volts RMS.
 * @param h 1 is the mains frequency
 */
export function strayVolts(policy: Policy, kind: HumSource['kind'], m2: number, h: number): number {
  const ambient = AMBIENT[policy.ambient ?? 'usual'];
  const mains = MAINS_VOLTS[policy.mainsHz];
  if (kind === 'leak') return (mains / 2) * (VOLTAGE[h] ?? 0);
  if (kind === 'electric') return ambient * mains * (VOLTAGE[h] ?? 0);
  // Currents of loads fall as a clean supply's EMF does; induction makes up for one power of the frequency.
  return 2 * Math.PI * policy.mainsHz * h * ambient * FIELD_TESLA * m2 * emfSpectrum(h, false);
}
