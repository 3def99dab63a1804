// Casebook: small plans that show one mistake or one kind of line each, with what must be found. Data, and how it becomes a plan.
import { blankPlan } from '../plan/blank';
import type { Plan } from '../plan/schema';
import { putLine } from '../plan/put';
import type { Code, Severity } from '../judge/types';
import { readLine } from '../say/read';

/** What a case must yield. */
interface Expected {
  readonly code: Code;
  readonly severity: Severity;
  /** In the finding's own unit, four digits. */
  readonly value: number;
}

export interface Case {
  readonly id: string;
  /** What people get wrong, or what kind of line it is. */
  readonly what: string;
  /** The line in words, on two supplies 0.3 V apart: Stage, and Annex where the desk is. */
  readonly says: string;
  /** What words cannot say. */
  readonly variant?: 'plain-y' | 'amp-on-thru';
  /** Id of the line that is looked at, where it is not the spoken one. */
  readonly line?: string;
  readonly finds: Expected;
  /** The best remedy in words; null where nothing helps or nothing is wrong. */
  readonly remedy: string | null;
}

export interface Mistake extends Case {
  /** The same done right, in which it must not be found. */
  readonly right: string;
}

const SUPPLIES = [
  { id: 'stage', name: 'Stage' },
  { id: 'annex', name: 'Annex' }
];
/** Between what is said and what words cannot say. */
const VARIANTS: Readonly<Record<NonNullable<Case['variant']>, (plan: Plan) => void>> = {
  'plain-y': (plan) => {
    plan.devices.mid = { model: 'plain-y', settings: {} };
  },
  'amp-on-thru': (plan) => {
    plan.devices.amp = { model: 'amp-in', settings: {}, supply: 'annex' };
    plan.cables.thru = {
      kind: 'instrument',
      metres: 2,
      from: { device: 'mid', port: 'thru' },
      to: { device: 'amp', port: 'in' },
      plugs: ['ts', 'ts']
    };
  }
};

/** The plan of a case. @throws when its words are not understood */
export function planOf({ says, variant }: Pick<Case, 'says' | 'variant'>): Plan {
  const plan: Plan = {
    ...blankPlan(),
    supplies: {
      stage: { name: 'Stage', emf: 0.01, ohm: 0.2, dimmers: false },
      annex: { name: 'Annex', emf: 0.3, ohm: 0.2, dimmers: false }
    },
    hosts: { desk: { name: 'Desk', supply: 'annex', feed: 'mains-1' } }
  };
  const { spec, faults } = readLine(says, { supplies: SUPPLIES });
  if (!spec) throw new Error(`${says}: ${JSON.stringify(faults)}`);
  putLine(plan, spec, (role) => role);
  if (variant) VARIANTS[variant](plan);
  return plan;
}

/** Id of the line that a case is about. */
export const lineOf = ({ line }: Pick<Case, 'line'>): string => line ?? 'in';
