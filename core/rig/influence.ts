import { sensitivities } from '../solver/sensitivity';
import { type Line, lineScope } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { probe } from './probe';
import { benchOf, sourceOf } from './bench';

/** How much one thing moves a line's gain. */
export interface Influence {
  /** Device or cable. */
  readonly of: string;
  /** Part within a device; null for the length of a cable. */
  readonly part: string | null;
  /** Change of the gain when the value, or the length, is a tenth more, dB. */
  readonly db: number;
}

/** ln 1.1, in decibels per neper of change. */
const TENTH = Math.log(1.1) * (20 / Math.LN10);
/** The two legs of a balanced stage are one value. */
const LEGS: Readonly<Record<string, string>> = {
  'emf-cold': 'emf',
  'out-cold': 'out',
  'leg-hot': 'in-r',
  'leg-cold': 'in-r'
};
const whole = (part: string): string => LEGS[part] ?? part;
/** Less is not worth telling, dB. */
const LEAST_DB = 1e-4;

/**
 * Which parts and lengths move the gain to a line's input at one frequency, most first: one forward and one adjoint solve.
 * @param hz hertz
 */
export function influences(plan: Plan, line: Line, hz: number): Influence[] {
  const { rig, system } = benchOf(plan, lineScope(plan, line));
  system.sourcesOf = sourceOf(line);
  const { far } = probe(plan, rig, line.cables[line.cables.length - 1]);
  const forward = system.at(hz).solveSources();
  const adjoint = system.solveAdjoint(...far);
  const [re, im] = forward.voltage(...far);
  const size = re * re + im * im;
  const by = new Map<string, Influence>();
  for (const [name, [dr, di]] of sensitivities(rig.net, forward, adjoint, hz)) {
    const of = /^[^/.]+/.exec(name)![0];
    const cable = of in plan.cables;
    const part = cable ? null : whole(name.slice(of.length + 1));
    // Insulation and strays are in the network for its own sake.
    if (!cable && (name.includes('insulation') || name.includes('mains-'))) continue;
    const key = cable ? of : `${of}/${part}`;
    const db = ((dr * re + di * im) / size) * TENTH;
    by.set(key, { of, part, db: (by.get(key)?.db ?? 0) + db });
  }
  return [...by.values()].filter((i) => Math.abs(i.db) > LEAST_DB).sort((a, b) => Math.abs(b.db) - Math.abs(a.db));
}
