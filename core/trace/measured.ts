import { copyOf } from '../plan/json';
import type { MeasuredRow, Plan } from '../plan/schema';
import { type Belief, type Foresight, foreseen, type Measured, narrowed } from './belief';

/** What was measured on a stage, kept with its date: the voltages of earths are what was planned, narrowed by all of it in its order. */

/** A row as what it says; null where what it speaks of is gone. */
export function measuredOf(plan: Plan, { kind, of, value }: MeasuredRow): Measured | null {
  const [a, b] = of;
  switch (kind) {
    case 'volts':
      return a in plan.supplies && b in plan.supplies ? { kind, supplies: [a, b], volts: value } : null;
    case 'clamp':
      return a in plan.cables ? { kind, cable: a, ampere: value } : null;
    case 'level':
      return a in plan.devices ? { kind, line: a, volts: value } : null;
  }
}
export const rowOf = (what: Measured, at: string): MeasuredRow =>
  what.kind === 'volts'
    ? { kind: what.kind, of: [...what.supplies], value: what.volts, at }
    : what.kind === 'clamp'
      ? { kind: what.kind, of: [what.cable], value: what.ampere, at }
      : { kind: what.kind, of: [what.line], value: what.volts, at };

/** Rows in the order in which they were measured. */
export const inOrder = (plan: Plan): [id: string, row: MeasuredRow][] =>
  Object.entries(plan.measured ?? {}).sort(([, a], [, b]) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0));

/**
 * The plan with one thing measured, measured otherwise, or taken back: every voltage is reckoned anew from what was planned.
 * @param row null takes it back
 */
export function remeasured(plan: Plan, id: string, row: MeasuredRow | null): Plan {
  const draft = copyOf(plan);
  const { [id]: _, ...others } = draft.measured ?? {};
  draft.measured = row ? { ...others, [id]: row } : others;
  for (const supply of Object.values(draft.supplies)) {
    const { emf, spread } = (supply.planned ??= spreadOf(supply));
    supply.emf = emf;
    if (spread === undefined) delete supply.spread;
    else supply.spread = spread;
  }
  for (const [, measured] of inOrder(draft)) {
    const what = measuredOf(draft, measured);
    if (what) believe(draft, narrowed(draft, what));
  }
  if (Object.keys(draft.measured).length === 0) {
    delete draft.measured;
    for (const supply of Object.values(draft.supplies)) delete supply.planned;
  }
  return draft;
}

const spreadOf = ({ emf, spread }: { emf: number; spread?: number | undefined }): { emf: number; spread?: number } =>
  spread === undefined ? { emf } : { emf, spread };

function believe(draft: Plan, beliefs: Readonly<Record<string, Belief>>): void {
  for (const [id, belief] of Object.entries(beliefs)) Object.assign(draft.supplies[id], belief);
}

/** What was measured beside what the plan now says of the same, in its own unit; null where what it speaks of is gone. */
export interface MeasuredAgain {
  readonly id: string;
  readonly row: MeasuredRow;
  readonly now: number | null;
}
export const measuredAgain = (plan: Plan, by: Foresight): MeasuredAgain[] =>
  inOrder(plan).map(([id, row]) => {
    const what = measuredOf(plan, row);
    return { id, row, now: what && foreseen(plan, what, by) };
  });
