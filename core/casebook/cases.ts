// Casebook: small plans that show one mistake or one kind of line each, with what must be found. Data, and how it becomes a plan.
import { blankPlan } from '../plan/blank';
import type { Plan } from '../plan/schema';
import { putLine } from '../plan/put';
import type { Code, Severity } from '../judge/types';
import { namesOf } from '../reader/names';
import { readLine } from '../reader/read-line';

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
  /** Further lines in words, which may leave the first. */
  readonly also?: readonly string[];
  /** Whether the last of those is the line that is looked at. */
  readonly last?: true;
  /** What the desk's phantom supply gives in all, amperes. */
  readonly phantomMost?: number;
  readonly finds: Expected;
  /** The best remedy in words; null where nothing helps or nothing is wrong. */
  readonly remedy: string | null;
}

export interface Mistake extends Case {
  /** The same done right, in which it must not be found. */
  readonly right: string;
}

/** The plan of a case. @throws when its words are not understood */
export function planOf({ says, also = [], phantomMost }: Pick<Case, 'says' | 'also' | 'phantomMost'>): Plan {
  const plan: Plan = {
    ...blankPlan(),
    supplies: {
      stage: { name: 'Stage', emf: 0.01, ohm: 0.2, dimmers: false },
      annex: { name: 'Annex', emf: 0.3, ohm: 0.2, dimmers: false }
    },
    hosts: { desk: { name: 'Desk', supply: 'annex', feed: 'mains-1', ...(phantomMost ? { phantomMost } : {}) } }
  };
  [says, ...also].forEach((text, k) => {
    const { spec, faults } = readLine(text, namesOf(plan));
    if (!spec) throw new Error(`${text}: ${JSON.stringify(faults)}`);
    putLine(plan, spec, (role) => (k === 0 ? role : `also${k}-${role}`));
  });
  return plan;
}

/** Id of the line that a case is about. */
export const lineOf = ({ also, last }: Pick<Case, 'also' | 'last'>): string =>
  last && also ? `also${also.length}-in` : 'in';
