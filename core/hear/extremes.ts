import { drawPlan, mulberry32 } from '../judge/tolerance';
import { settingsAt } from '../plan/devices';
import { diffPlans } from '../plan/diff';
import type { Line } from '../plan/lines';
import { resolve } from '../plan/resolved';
import type { Op, Plan } from '../plan/schema';
import { sizeOf } from './size';

/** What the spread of the pieces makes of a line at its dullest and at its brightest. */

/** So many plans are drawn; of a hundred the first and the last are about where one in fifty lies. */
const DRAWS = 96;

export interface Extreme {
  readonly ops: readonly Op[];
  /** Top of what is played against its middle, dB more than as planned. */
  readonly db: number;
}

/** @returns the dullest and the brightest of what was drawn */
export function extremesOf(plan: Plan, line: Line, seed = 1): readonly [Extreme, Extreme] {
  const domain = resolve(plan).domain(line.id)!;
  const { low, reach } = settingsAt(plan, line.devices[0]).notes;
  const hz = [Math.sqrt(low * reach), reach / 2, reach];
  const tilt = (of: Plan): number => {
    const [middle, upper, top] = sizeOf(of, line, hz);
    return (upper + top) / 2 - middle;
  };
  const planned = tilt(plan);
  const drawn = Array.from({ length: DRAWS }, (_, k) => {
    const draft = drawPlan(plan, domain, mulberry32(Math.imul(seed, 1000003) + k));
    // Earths have nothing to do with it.
    const of = { ...draft, supplies: plan.supplies };
    return { of, db: tilt(of) - planned };
  }).sort((a, b) => a.db - b.db);
  return [drawn[0], drawn[DRAWS - 1]].map(({ of, db }): Extreme => ({ ops: diffPlans(plan, of), db })) as [
    Extreme,
    Extreme
  ];
}
