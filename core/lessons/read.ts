import { CABLES } from '../gear/cables';
import { modelAt, settingsAt } from '../plan/devices';
import { interpolate } from '../rig/grid';
import { toDb } from '../units/quantity';
import type { At, Figure, FigureName } from './types';

/** What lessons read off a solved line. */

export const figure = (name: FigureName, kind: Figure['kind'], value: number): Figure => ({ name, kind, value });

/** What the judge says of the line, as lessons tell it beside what they read. */
export const arrives = ({ report }: At) => figure('arrives', 'dBu', report.arrives ?? NaN);
export const snr = ({ report }: At) => figure('snr', 'dB', report.snr ?? NaN);
export const gain = ({ report }: At) => figure('gain', 'dB', report.gain ?? NaN);
export const headroom = ({ report }: At) => figure('headroom', 'dB', report.room ?? NaN);
export const hum = ({ report }: At) => figure('hum', 'dBu', report.hum?.dbu ?? NaN);
export const below = ({ report }: At) => figure('below', 'dB', report.hum?.below ?? NaN);

/** The cable where the line ends, and the one where it begins. */
export const last = ({ solution }: At) => solution.spans[solution.spans.length - 1];
export const first = ({ solution }: At) => solution.spans[0];
/** Gain from the source's EMF to the input, dB. */
export const gainAtHz = (at: At, hz: number): number => interpolate(at.solution.hz, last(at).far.gainDb, hz);
/** What an output sees, or has behind it, ohms; NaN behind a joint. */
export const ohmsAt = (at: At, curve: Float64Array | null, hz: number): number =>
  curve ? interpolate(at.solution.hz, curve, hz) : NaN;

export const value = ({ plan, line }: At, device: string, name: string): number => {
  const read = settingsAt(plan, device, line.cables[line.cables.length - 1]);
  return name in read.model.params ? read.value(name) : 0;
};
export const inputOf = ({ line }: At): string => line.devices[line.devices.length - 1];
/** The first device behind the source. */
export const nextOf = ({ line }: At): string => line.devices[1];

/** Of all of a cable, farads. */
export function faradsOf({ plan }: At, cable: string): number {
  const { kind, metres, settings } = plan.cables[cable];
  return (settings?.cShield ?? CABLES[kind].params.cShield.typ) * metres;
}

/** Where a response is highest above so many hertz; NaN where that is at its lower end: it has no resonance. */
export function peakHz(at: At, from: number): number {
  const { hz } = at.solution;
  const { gainDb } = last(at).far;
  let best = hz.findIndex((f) => f >= from);
  const start = best;
  for (let k = best; k < hz.length; k++) if (gainDb[k] > gainDb[best]) best = k;
  return best <= start + 1 || best >= hz.length - 1 ? NaN : hz[best];
}

/** Below which frequency a high-pass has lost three decibels of its best below `to`; NaN where it has not by the lowest that is solved. */
export function lowCorner(at: At, to: number): number {
  const { hz } = at.solution;
  const { gainDb } = last(at).far;
  const best = gainDb.reduce((a, db, k) => (hz[k] <= to && db > a ? db : a), -Infinity);
  const half = best - toDb(Math.SQRT2);
  for (let k = 0; k + 1 < hz.length && hz[k + 1] <= to; k++)
    if (gainDb[k] < half && gainDb[k + 1] >= half) {
      const t = (half - gainDb[k]) / (gainDb[k + 1] - gainDb[k]);
      return hz[k] * (hz[k + 1] / hz[k]) ** t;
    }
  return NaN;
}

/** Something between source and input that passes no direct current. */
export const isolatedBefore = ({ plan, line }: At): boolean =>
  modelAt(plan, line.devices[line.devices.length - 2]).isolated === true;

/** A source that is nothing but a resistance, plugged straight into an input: the two divide its voltage and nothing else does. */
export const isStraight = ({ plan, line }: At): boolean => line.devices.length === 2 && isResistive(plan, line);
export const isResistive = (plan: At['plan'], line: At['line']): boolean =>
  modelAt(plan, line.devices[0]).signal?.nature === 'resistive';
