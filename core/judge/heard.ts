import type { Line } from '../plan/lines';
import type { Exposure, Policy } from '../plan/schema';
import { hissHeardFrom, programmeIn, roomOf } from '../rig/audible';
import { type Ladder, onLadder } from './limits';
import { fact, rank, type Severity } from './types';

/** One scale for loops, fields, leakage and hiss: what would be heard of them beside the programme. */

/** Margin under what is heard, dB: clean 10 dB under it, a note up to it, care to 10 dB over, a stop beyond. */
export const HEARD: Ladder = [
  [10, 'clean'],
  [0, 'note'],
  [-10, 'care'],
  [-Infinity, 'stop']
];

/**
 * A rule of thumb beside it, dB below the signal: what is closer than that is not heard in every room, but compression, an equaliser or a
 * recording brings it up by twenty decibels and more, and a show that is softer than usual does the rest.
 */
export const WORKING: Ladder = [
  [50, 'clean'],
  [40, 'note'],
  [30, 'care'],
  [-Infinity, 'stop']
];

/** A part that stands alone is listened to more closely, one in the thick of others less: a step of the scale, dB. */
const EXPOSED: Readonly<Record<Exposure, number>> = { lead: -10, normal: 0, buried: 10 };

/**
 * How far hum stays under what is heard, dB; negative where it is heard.
 * @param nominalDbu programme at the input, average, dBu
 * @param loudest how far its loudest harmonic stands over the level from which it is heard, as `Hum.loudest` tells it: dBu less dB SPL
 */
export const humMargin = (policy: Policy, exposure: Exposure, nominalDbu: number, loudest: number): number =>
  bounded(-(programmeIn(roomOf(policy)) - nominalDbu + loudest) + EXPOSED[exposure]);

/** How far hiss stays under what is heard, dB. @param weightedDbu noise at the input, A-weighted, dBu */
export const hissMargin = (policy: Policy, exposure: Exposure, nominalDbu: number, weightedDbu: number): number => {
  const room = roomOf(policy);
  return bounded(hissHeardFrom(room) - (programmeIn(room) - (nominalDbu - weightedDbu)) + EXPOSED[exposure]);
};

/** How exposed a line is where nobody has said. */
export const exposureOf = ({ info }: Line): Exposure => info?.exposure ?? 'normal';

const bounded = (db: number): number => (Number.isNaN(db) ? 200 : Math.max(-200, Math.min(200, db)));

export interface Heard {
  /** Under what is heard, dB. */
  readonly margin: number;
  /** A rule of thumb decided, not the ear. */
  readonly rule: boolean;
  readonly severity: Severity;
  readonly limit: number;
}
/** What a sentence tells of it. */
export const heardFacts = (policy: Policy, { margin, rule }: Pick<Heard, 'margin' | 'rule'>) => [
  fact('heard', 'gain', margin),
  fact('room', 'id', roomOf(policy)),
  fact('rule', 'count', rule ? 1 : 0)
];

/**
 * What hum or hiss is worth: by what is heard of it, or by the rule of thumb where that is stricter.
 * @param margin under what is heard, dB
 * @param below what is shown of it, dB below the signal
 * @returns with the figure below the signal at which it would be better, and whether the rule of thumb decided
 */
export function heardSeverity(margin: number, below: number): Heard {
  const ear = onLadder(HEARD, margin);
  const working = onLadder(WORKING, below);
  const rule = rank(working.severity) > rank(ear.severity);
  return rule
    ? { margin, ...working, rule }
    : { margin, severity: ear.severity, limit: below - margin + ear.limit, rule };
}
