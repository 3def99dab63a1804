import { type Check, type Finding, rank } from '../judge/types';
import type { Route } from './route';

/** What a source needs on its way that a plain cable does not give: read off the plain cable's own judgement. */

const NEEDS = ['connector', 'level', 'impedance', 'balancing'] as const;
export type Need = (typeof NEEDS)[number];

export interface Needs {
  /** The plain cable that was judged. */
  readonly direct: Route;
  /** What is missing, with the finding that says so. */
  readonly needed: readonly { need: Need; finding: Finding }[];
  /** Nothing is: no box. */
  readonly plain: boolean;
}

const NEED_OF: Readonly<Record<Check, Need>> = {
  connector: 'connector',
  balance: 'balancing',
  level: 'level',
  impedance: 'impedance',
  // A loop or a field is what a balanced, isolated way is for.
  ground: 'balancing'
};

/** Needs of a line from its ways; null where no plain cable was among them. */
export function needsOf(routes: readonly Route[]): Needs | null {
  const plain = routes.filter((r) => r.way.id === 'direct' || (r.present && r.way.boxes.length === 0));
  const [direct] = plain;
  if (!direct) return null;
  const needed = new Map<Need, Finding>();
  for (const f of direct.report.findings) {
    // Gain is what a microphone input is for: much of it is the preamp's matter, not a box's.
    if (rank(f.severity) < rank('care') || f.at < 0 || f.code === 'much-gain') continue;
    const need = NEED_OF[f.check];
    const known = needed.get(need);
    if (!known || rank(f.severity) > rank(known.severity)) needed.set(need, f);
  }
  return {
    direct,
    needed: NEEDS.flatMap((need) => (needed.has(need) ? [{ need, finding: needed.get(need)! }] : [])),
    plain: needed.size === 0
  };
}
