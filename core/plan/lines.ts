import { modelAt } from './devices';

import type { Cable, LineInfo, Plan } from './schema';

/** A line, derived by tracing back from its far end. `cables[k]` joins `devices[k]` to `devices[k + 1]`. */
export interface Line {
  /** Id of the far-end device, to which name, channel and exposure are attached. */
  readonly id: string;
  readonly devices: readonly string[];
  readonly cables: readonly string[];
  readonly info: LineInfo | undefined;
}

/** All lines of a plan by channel, then by name. A device with nothing plugged in is a line of its own, to be completed. */
export function traceLines(plan: Plan): Line[] {
  const into = new Map<string, [string, Cable]>();
  const feeding = new Set<string>();
  for (const entry of Object.entries(plan.cables)) {
    into.set(entry[1].to.device, entry);
    feeding.add(entry[1].from.device);
  }
  const lines: Line[] = [];
  for (const id of Object.keys(plan.devices)) {
    // An input that passes its signal on is an end all the same: a speaker that feeds the next.
    if (feeding.has(id) && modelAt(plan, id).family !== 'input') continue;
    const devices = [id];
    const cables: string[] = [];
    for (let step = into.get(id); step; step = into.get(devices[0])) {
      cables.unshift(step[0]);
      devices.unshift(step[1].from.device);
    }
    lines.push({ id, devices, cables, info: plan.lines[id] });
  }
  const order = (line: Line): number => line.info?.channel ?? 1000;
  const name = (line: Line): string => line.info?.name ?? line.id;
  return lines.sort((a, b) => order(a) - order(b) || name(a).localeCompare(name(b)) || (a.id < b.id ? -1 : 1));
}

/** Whether the line starts at a source and ends at an input. */
export const isComplete = (plan: Plan, line: Line): boolean =>
  modelAt(plan, line.devices[0]).family === 'source' && modelAt(plan, line.id).family === 'input';

/** Whether two acts are ever on at the same time: lines of different acts are not. */
export const together = (a: string | undefined, b: string | undefined): boolean => !a || !b || a === b;

/** The times that have to be looked at one by one: each act, or the whole evening where there are none. */
export function timesOf(lines: readonly Line[]): readonly (string | undefined)[] {
  const acts = [...new Set(lines.flatMap((l) => l.info?.act || []))];
  return acts.length > 0 ? acts : [undefined];
}

/** Everything electrically on this line: its own chain and what hangs on any thru of it. */
export function lineScope(plan: Plan, line: Line): { devices: string[]; cables: string[] } {
  const devices = new Set(line.devices);
  const cables = new Set(line.cables);
  const touching = touchingDevices(plan);
  for (let grown = true; grown;) {
    grown = false;
    for (const [a, b] of touching)
      if (devices.has(a) !== devices.has(b)) {
        devices.add(a).add(b);
        grown = true;
      }
    for (const [id, { from, to }] of Object.entries(plan.cables)) {
      if (cables.has(id) || (!devices.has(from.device) && !devices.has(to.device))) continue;
      cables.add(id);
      devices.add(from.device);
      devices.add(to.device);
      grown = true;
    }
  }
  return { devices: [...devices], cables: [...cables] };
}

/** Devices and cables that are electrically one piece, apart from earths, and the lines that run in it. */
export interface Domain {
  readonly devices: readonly string[];
  readonly cables: readonly string[];
  readonly lines: readonly Line[];
}

/** Devices whose chassis, or a plug of whose cables, touch the chassis of one another. */
function touchingDevices(plan: Plan): [string, string][] {
  return Object.values(plan.touches ?? {}).flatMap(({ a, b }) => {
    const [kind, id] = a.split(':');
    const one = kind === 'cable' ? plan.cables[id]?.to.device : id;
    const [other, to] = b.split(':');
    return other === 'device' && plan.devices[one ?? ''] && plan.devices[to] ? [[one!, to] as [string, string]] : [];
  });
}

/** All pieces of a plan in the order of their first lines; each line is in exactly one. */
export function domainsOf(plan: Plan, lines: readonly Line[] = traceLines(plan)): Domain[] {
  const parent = new Map<string, string>(Object.keys(plan.devices).map((id) => [id, id]));
  const root = (id: string): string => {
    let at = id;
    for (let up = parent.get(at)!; up !== at; up = parent.get(at)!) {
      parent.set(at, parent.get(up)!);
      at = up;
    }
    return at;
  };
  for (const { from, to } of Object.values(plan.cables)) parent.set(root(from.device), root(to.device));
  for (const [a, b] of touchingDevices(plan)) parent.set(root(a), root(b));
  const made = new Map<string, { devices: string[]; cables: string[]; lines: Line[] }>();
  const domain = (id: string): { devices: string[]; cables: string[]; lines: Line[] } => {
    const key = root(id);
    let found = made.get(key);
    if (!found) made.set(key, (found = { devices: [], cables: [], lines: [] }));
    return found;
  };
  for (const line of lines) domain(line.id).lines.push(line);
  for (const id of Object.keys(plan.devices)) domain(id).devices.push(id);
  for (const [id, { from }] of Object.entries(plan.cables)) domain(from.device).cables.push(id);
  return [...made.values()];
}

/** What every piece's numbers depend on, as text. Few and small: telling which of them a line hangs on would cost more. */
export const sharedKey = (plan: Plan): string => JSON.stringify([plan.policy, plan.supplies, plan.hosts, plan.touches]);

/** What the numbers of a piece depend on, as text: equal text, equal answer but for what the rest of the rig's earths do. */
export function scopeKey(
  plan: Plan,
  scope: { devices: readonly string[]; cables: readonly string[] },
  shared = sharedKey(plan)
): string {
  const own = scope.devices.flatMap((d) => plan.devices[d].own ?? []).map((id) => plan.models?.[id]);
  let key = shared;
  for (const d of scope.devices) {
    const info = plan.lines[d];
    key += `${d}:${textOf(plan.devices[d])}${info?.micMetres ?? ''}${info?.exposure ?? ''}`;
  }
  for (const c of scope.cables) key += `${c}:${textOf(plan.cables[c])}`;
  return own.length > 0 ? key + JSON.stringify(own) : key;
}

/** Text of devices and cables by themselves: a plan is never changed in place, so most of them are the ones of before. */
const texts = new WeakMap<object, string>();
function textOf(piece: object): string {
  let text = texts.get(piece);
  if (text === undefined) texts.set(piece, (text = JSON.stringify(piece)));
  return text;
}

/** As `scopeKey`, of a single line. */
export const lineKey = (plan: Plan, line: Line): string => scopeKey(plan, lineScope(plan, line));
