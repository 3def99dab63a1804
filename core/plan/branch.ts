import { modelAt } from './devices';
import { portFor, hasTrait } from '../gear/catalogue';
import { CABLES, plugFor } from '../gear/cables';
import type { PortSpec } from '../gear/types';
import type { Line } from './lines';
import type { Plan } from './schema';

/** Lines that leave other lines: by a thru, a splitter's second output, the link of a speaker, or a Y lead. */

/** Where a line leaves another one. */
export interface Branch {
  /** Index in the line of the device that it leaves by a further output. */
  readonly at: number;
  /** The line that goes on by that device's main output, or ends in it. */
  readonly of: string;
}

/** Outputs that are there beside the main one. */
export const FURTHER: ReadonlySet<string> = new Set(['thru', 'iso']);
/** Y leads by the socket they are for. */
const Y_FOR: Partial<Record<PortSpec['socket'], string>> = {
  ts: 'y-jack',
  trs: 'y-xlr',
  xlr: 'y-xlr',
  rca: 'y-rca',
  mini: 'y-mini',
  speaker: 'y-speaker'
};
/** The short end of a Y lead, metres. */
const TAIL = 0.2;

/** Cables by the device they leave. */
function outsOf(plan: Plan): Map<string, string[]> {
  const outs = new Map<string, string[]>();
  for (const [id, { from }] of Object.entries(plan.cables)) {
    const list = outs.get(from.device);
    if (list) list.push(id);
    else outs.set(from.device, [id]);
  }
  return outs;
}

/** Where this line leaves another; null for one with a source of its own. */
export const branchOf = (plan: Plan, line: Line, outs = outsOf(plan)): Branch | null => {
  for (let at = line.cables.length - 1; at >= 0; at--) {
    const device = line.devices[at];
    const { port } = plan.cables[line.cables[at]].from;
    if (modelAt(plan, device).family === 'input') return { at, of: device };
    if (!FURTHER.has(port)) continue;
    const main = outs.get(device)!.find((id) => !FURTHER.has(plan.cables[id].from.port));
    if (main !== undefined) return { at, of: endOf(plan, outs, main) };
  }
  return null;
};

/** Whether a line goes from the desk back to the players: a return, a send to an amplifier or a speaker. */
export const comesBack = (plan: Plan, line: Line): boolean => {
  const { family, ports } = modelAt(plan, line.id);
  if (family !== 'input' || !hasTrait(plan.devices[line.devices[0]].model, 'desk-output')) return false;
  return ports.some((p) => p.id === 'thru') || ports[0].level === 'instrument' || ports[0].level === 'speaker';
};

/** Branches of all lines, by line. */
export function branchesOf(plan: Plan, lines: readonly Line[]): Map<string, Branch> {
  const outs = outsOf(plan);
  return new Map(
    lines.flatMap((line) => {
      const branch = branchOf(plan, line, outs);
      return branch ? [[line.id, branch] as const] : [];
    })
  );
}

/** The far end of what a cable leads to by main outputs. */
function endOf(plan: Plan, outs: ReadonlyMap<string, readonly string[]>, cable: string): string {
  for (let at = cable; ;) {
    const device = plan.cables[at].to.device;
    const next = outs.get(device) ?? [];
    if (next.length === 0 || modelAt(plan, device).family === 'input') return device;
    at = next.find((id) => !FURTHER.has(plan.cables[id].from.port)) ?? next[0];
  }
}

/**
 * A socket of a line by which another one may leave it: a free further output of the wanted kind, or else a Y lead put in where
 * the signal is of that kind (draft changed in place).
 * @param to what the branch ends in
 */
export function branchPoint(
  draft: Plan,
  line: Line,
  to: PortSpec,
  newId: (role: string) => string
): { device: string; port: string } {
  const taken = new Set(Object.values(draft.cables).map(({ from }) => `${from.device}.${from.port}`));
  const alike = (port: PortSpec): boolean =>
    (port.carries === 'balanced') === (to.carries === 'balanced') &&
    (port.level === 'speaker') === (to.level === 'speaker');
  const free = line.devices.flatMap((device) =>
    modelAt(draft, device)
      .ports.filter((p) => FURTHER.has(p.id) && !taken.has(`${device}.${p.id}`) && alike(p))
      .map((p) => ({ device, port: p.id }))
  );
  if (free.length > 0) return free[0];
  const mains = line.cables.map((id) => {
    const { from } = draft.cables[id];
    return { id, port: modelAt(draft, from.device).ports.find((p) => p.id === from.port)! };
  });
  const { id } = mains.find(({ port }) => alike(port)) ?? mains[0];
  return putY(draft, id, newId);
}

/** A Y lead where a cable starts: the cable goes on behind it. */
function putY(draft: Plan, id: string, newId: (role: string) => string): { device: string; port: string } {
  const cable = draft.cables[id];
  const near = modelAt(draft, cable.from.device).ports.find((p) => p.id === cable.from.port)!;
  const y = newId('y');
  draft.devices[y] = { model: Y_FOR[near.socket] ?? 'y-jack', settings: {} };
  const model = modelAt(draft, y);
  const into = portFor(model, 'in', cable.kind);
  const out = portFor(model, 'out', cable.kind);
  draft.cables[newId('tail')] = {
    kind: cable.kind,
    metres: TAIL,
    from: cable.from,
    to: { device: y, port: into.id },
    plugs: [cable.plugs[0], plugFor(cable.kind, into.socket)]
  };
  const fits = CABLES[cable.kind].plugs.includes(cable.plugs[0]);
  draft.cables[id] = {
    ...cable,
    from: { device: y, port: out.id },
    plugs: [fits ? plugFor(cable.kind, out.socket) : cable.plugs[0], cable.plugs[1]]
  };
  return { device: y, port: 'thru' };
}
