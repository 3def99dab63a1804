import { modelAt } from './devices';
import { portOf } from '../gear/catalogue';
import type { PortSpec } from '../gear/types';
import { FURTHER } from './branch';
import type { Line } from './lines';
import type { Plan } from './schema';

/** The part of a line that may be exchanged by itself: from the last device that it shares with other lines to its input. */
export interface Stretch {
  /** The line from there on; its first device stays as it is. */
  readonly part: Line;
  /** Index of that device in the whole line. */
  readonly head: number;
  /** The socket by which the line leaves it, with the level class of what comes out there. */
  readonly out: PortSpec;
  /** Socket that the first box must have, for another line hangs on it. */
  readonly keeps: string | null;
  /** Another line hangs on the input itself. */
  readonly keepsInput: boolean;
}

export function stretchOf(plan: Plan, line: Line): Stretch {
  const own = new Set(line.cables);
  const others = (id: string): string[] =>
    Object.entries(plan.cables).flatMap(([cable, { from }]) =>
      from.device === id && !own.has(cable) ? [from.port] : []
    );
  const last = line.devices.length - 1;
  let head = 0;
  let kept: { at: number; port: string } | null = null;
  for (let at = 0; at < last; at++) {
    const device = line.devices[at];
    const leaves = plan.cables[line.cables[at]].from.port;
    const hanging = others(device);
    if (hanging.length === 0 && !FURTHER.has(leaves)) continue;
    // A thru in the way may stay a thru of another box; whatever else divides the signal stays what it is.
    const thru = at === head + 1 && hanging.length === 1 && hanging[0] === 'thru' && !FURTHER.has(leaves);
    if (thru && modelAt(plan, device).family === 'box') kept = { at, port: 'thru' };
    else [head, kept] = [at, null];
  }
  const { from } = plan.cables[line.cables[head]];
  return {
    part: { id: line.id, devices: line.devices.slice(head), cables: line.cables.slice(head), info: line.info },
    head,
    out: { ...portOf(modelAt(plan, from.device), from.port)!, level: levelAt(plan, line, head) },
    keeps: kept?.port ?? null,
    keepsInput: others(line.id).length > 0
  };
}

/** Level class of what leaves a device of a line: of the last output that is more than a joint. */
function levelAt(plan: Plan, line: Line, at: number): PortSpec['level'] {
  for (let k = at; k > 0; k--) {
    const model = modelAt(plan, line.devices[k]);
    if (model.family !== 'joint') return portOf(model, plan.cables[line.cables[k]].from.port)!.level;
  }
  return modelAt(plan, line.devices[0]).ports[0].level;
}
