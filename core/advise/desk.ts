import { chainOf } from '../plan/chain';
import { unbalancedLimit } from '../judge/limits';
import type { Line } from '../plan/lines';
import type { Plan } from '../plan/schema';
import type { Wanted } from './ways';
import { type Stretch, stretchOf } from '../plan/stretch';

/** The lead to a box, where nobody has said how long it is, metres. */
const USUAL_LEAD = 3;
/** Inputs that a desk has of each kind. */
const DESK = new Set(['mic-in', 'line-in', 'combo-in']);
/** Whether a line ends where there are microphone and line inputs as well: at the host of some, or where nothing is said. */
export function endsAtDesk(plan: Plan, line: Line): boolean {
  const input = plan.devices[line.id];
  if (DESK.has(input.model)) return true;
  if (!['consumer-in', 'instrument-in', 'aux-in'].includes(input.model)) return false;
  // The first host is the desk, whatever else is plugged into it; of another one only what is known counts.
  if (input.host === Object.keys(plan.hosts)[0]) return true;
  return Object.keys(plan.lines).some((id) => {
    const other = plan.devices[id];
    return other && DESK.has(other.model) && other.host === input.host;
  });
}

/** What the route finder starts from. */
export function wantedOf(plan: Plan, line: Line, { part, out, head }: Stretch = stretchOf(plan, line)): Wanted {
  const chain = chainOf(plan, part);
  const { cables } = chain;
  const [first] = cables;
  const run = cables[cables.length - 1];
  const balancedRun = ['mic', 'star-quad', 'multicore'].includes(run.kind);
  // A lead that is too long is what is to be mended, not what is wanted.
  const limit = unbalancedLimit(plan.policy, out.level);
  const lead = cables.length > 1 ? Math.min(Math.max(first.metres, 0.5), limit) : Math.min(USUAL_LEAD, limit);
  return {
    source: chain.devices[0],
    out,
    branch: head > 0,
    input: chain.devices[chain.devices.length - 1],
    metres: cables.reduce((sum, c) => sum + c.metres, 0),
    leadMetres: lead,
    runKind: balancedRun ? run.kind : null,
    desk: endsAtDesk(plan, line),
    ...(line.info?.want ? { want: line.info.want } : {})
  };
}
