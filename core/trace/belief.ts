import { judgeWhole, type LineReport } from '../judge/judge';
import { SolvedRig } from '../judge/solved-rig';
import type { Plan } from '../plan/schema';
import { fromDbu } from '../units/quantity';

/** What is believed of the EMFs between earth points: each known within a factor, narrowed by whatever is measured. */

/** Nobody knows the building: a planned EMF may be three times as large or as small (one standard deviation of its logarithm). */
const UNKNOWN_FACTOR = 3;
/** A meter, a clamp, a level read off a desk are right within a fifth. */
const READ_FACTOR = 1.2;
/** No EMF is known better than this, for it changes with what is switched on. */
const LEAST_FACTOR = 1.15;

/** Something measured on the stage. Volts between two earth points are taken by someone licensed. */
export type Measured =
  | { readonly kind: 'volts'; readonly supplies: readonly [string, string]; readonly volts: number }
  | { readonly kind: 'clamp'; readonly cable: string; readonly ampere: number }
  | { readonly kind: 'level'; readonly line: string; readonly volts: number };

/** A touch voltage from which on it may harm where it is wet, volts AC (IEC 60364-4-41, 414: extra-low voltage without basic protection). */
const TOUCH_VOLTS = 25;
/** No sound connection carries amperes: something feeds a fault, or a neutral is broken. */
const SHIELD_AMPERE = 1;

/** Whether what was measured is no matter of hum: nothing is computed on from it, and somebody licensed has to look. */
export const isDangerous = (what: Measured): boolean =>
  what.kind === 'clamp' ? what.ampere >= SHIELD_AMPERE : what.kind === 'volts' && what.volts >= TOUCH_VOLTS;

export const factorOf = (plan: Plan, supply: string): number => plan.supplies[supply].spread ?? UNKNOWN_FACTOR;

/** Least and most of an EMF, volts. */
export const rangeOf = (plan: Plan, supply: string): readonly [number, number] => {
  const { emf } = plan.supplies[supply];
  return [emf / factorOf(plan, supply), emf * factorOf(plan, supply)];
};

/** What the network gives of a plan: current in the loop of a cable, amperes, and what supplies put on a line's input, dBu. */
export interface Foresight {
  readonly ring: (cable: string) => number | undefined;
  readonly earths: (line: string) => number | undefined;
}
const solved = (plan: Plan): Foresight => ({
  ring: (cable) => new SolvedRig(plan).rings().find((r) => r.cables.includes(cable))?.ampere,
  earths: (line) => earthsOf(judgeWhole(new SolvedRig(plan)).find((r) => r.id === line))
});
/** What the supplies put on a line's input, dBu; undefined where that is nothing. */
export const earthsOf = (report: Pick<LineReport, 'hum'> | undefined): number | undefined =>
  report?.hum?.byKind.find((k) => k.kind === 'earths')?.dbu;

/** What the plan foresees of a quantity, in its own unit. @param by the plan as it is solved already */
export function foreseen(plan: Plan, what: Measured, by: Foresight = solved(plan)): number {
  switch (what.kind) {
    case 'volts':
      // Two EMFs against the building's earth add up, the worst they can do.
      return what.supplies.reduce((sum, id) => sum + plan.supplies[id].emf, 0);
    case 'clamp':
      return by.ring(what.cable) ?? 0;
    case 'level': {
      const dbu = by.earths(what.line);
      return dbu === undefined ? 0 : fromDbu(dbu);
    }
  }
}

/** As a belief can be told: three digits. */
const short = (v: number): number => Number(v.toPrecision(3));
const valueOf = (what: Measured): number => (what.kind === 'clamp' ? what.ampere : what.volts);

export interface Belief {
  readonly emf: number;
  readonly spread: number;
}

/**
 * Beliefs after a reading: one step of a Kalman filter on the logarithms of all EMFs, its slopes taken from the network itself.
 * @returns new values by supply; those that the reading says nothing about are as they were
 */
export function narrowed(plan: Plan, what: Measured): Record<string, Belief> {
  const ids = Object.keys(plan.supplies).filter((id) => plan.supplies[id].emf > 0);
  const now = foreseen(plan, what);
  const out = Object.fromEntries(ids.map((id) => [id, { emf: plan.supplies[id].emf, spread: factorOf(plan, id) }]));
  const seen = valueOf(what);
  if (now <= 0 || seen <= 0) return out;
  const STEP = 1.02;
  const slopes = ids.map((id) => {
    const { [id]: supply, ...rest } = plan.supplies;
    const more = foreseen({ ...plan, supplies: { ...rest, [id]: { ...supply, emf: supply.emf * STEP } } }, what);
    return Math.log(more / now) / Math.log(STEP);
  });
  const variances = ids.map((id) => Math.log(factorOf(plan, id)) ** 2);
  const total = slopes.reduce((sum, g, k) => sum + g * g * variances[k], Math.log(READ_FACTOR) ** 2);
  const off = Math.log(seen / now);
  ids.forEach((id, k) => {
    const gain = (variances[k] * slopes[k]) / total;
    const left = variances[k] * (1 - gain * slopes[k]);
    out[id] = {
      emf: short(Math.min(plan.supplies[id].emf * Math.exp(gain * off), 50)),
      spread: short(Math.max(Math.exp(Math.sqrt(left)), LEAST_FACTOR))
    };
  });
  return out;
}
