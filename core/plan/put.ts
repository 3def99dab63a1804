import { modelAt, plugIn } from './devices';
import { modelOf, portFor, portOf, hasTrait } from '../gear/catalogue';
import { plugFor } from '../gear/cables';
import type { PortSpec } from '../gear/types';
import { branchPoint } from './branch';
import { type Line, traceLines } from './lines';
import type { Device, Plan } from './schema';
import { type CableSpec, type DeviceSpec, jointModel, type LineSpec, rolesOf } from './spec';

/**
 * Writes a spoken line into a plan (changed in place), reusing the ids of the line it replaces where the role stays.
 * @param newId gives a fresh id for a role
 */
export function putLine(draft: Plan, spec: LineSpec, newId: (role: string) => string, old?: Line): string {
  const roles = old ? rolesOf(draft, old) : null;
  const input = roles?.input ?? newId('in');
  const head = headOf(draft, spec, roles, newId);
  putDevice(draft, input, spec.input);
  placeInput(draft, input, draft.devices[head.device]?.supply);
  const { boxes, cables } = partsOf(spec);
  const middles = boxes.map((_, k) => roles?.middles[k] ?? newId(k === 0 ? 'mid' : `mid${k + 1}`));
  for (const id of roles?.middles.slice(boxes.length) ?? []) {
    delete draft.devices[id];
    delete draft.lines[id];
  }
  boxes.forEach((box, k) => {
    putDevice(draft, middles[k], box);
    plugIn(draft, middles[k], draft.devices[head.device]?.supply);
  });
  const stops = [head.device, ...middles, input];
  cables.forEach((cable, k) => {
    const id = roles?.cables[k] ?? newId(k === 0 ? 'lead' : k === 1 ? 'run' : `run${k}`);
    putCable(draft, id, cable, stops[k], stops[k + 1], k === 0 ? head.port : undefined);
  });
  for (const id of roles?.cables.slice(cables.length) ?? []) delete draft.cables[id];
  draft.lines[input] = {
    ...draft.lines[input],
    name: spec.name,
    exposure: spec.exposure ?? draft.lines[input]?.exposure ?? 'normal',
    ...(spec.channel ? { channel: spec.channel } : {})
  };
  return input;
}

/** An input is one of the desk's, unless it stands for itself: then it is fed where the source is, or from the first supply. */
function placeInput(draft: Plan, id: string, beside: string | undefined): void {
  const device = draft.devices[id];
  if (!hasTrait(device.model, 'stands-alone')) {
    device.host ??= Object.keys(draft.hosts)[0];
    if (device.host === undefined) delete device.host;
    return;
  }
  plugIn(draft, id, beside);
}

/** Where the line starts: at its source, or at a socket of the line that it leaves. */
function headOf(
  draft: Plan,
  spec: LineSpec,
  roles: ReturnType<typeof rolesOf>,
  newId: (role: string) => string
): { device: string; port?: string } {
  const parent = spec.from === undefined ? undefined : traceLines(draft).find((l) => l.id === spec.from);
  if (parent && roles?.branch?.of === parent.id) return { device: roles.source, port: roles.branch.port };
  // What had a source of its own and now leaves another line has no more use for it.
  if (parent && roles && !roles.branch && roles.source !== spec.from) delete draft.devices[roles.source];
  if (parent) return branchPoint(draft, parent, modelOf(spec.input.model).ports[0], newId);
  const source = roles && !roles.branch ? roles.source : newId('src');
  putDevice(draft, source, spec.source);
  plugIn(draft, source);
  return { device: source };
}

/** What stands between, with the cables before, between and behind. Two cables need something between them. */
function partsOf(spec: LineSpec): { boxes: readonly DeviceSpec[]; cables: readonly CableSpec[] } {
  const more = spec.more ?? [];
  const first = spec.lead ?? spec.run;
  const second = spec.lead && spec.run ? spec.run : null;
  const box = spec.box ?? (second || more.length > 0 ? { model: jointModel(spec.run?.kind), settings: {} } : null);
  if (!box) return { boxes: [], cables: [first ?? ZERO_LEAD] };
  return {
    boxes: [box, ...more.map((m) => m.box)],
    cables: [first ?? ZERO_LEAD, second ?? ZERO_RUN, ...more.map((m) => m.run)]
  };
}

const ZERO_LEAD: CableSpec = { kind: 'instrument', metres: 0.3 };
const ZERO_RUN: CableSpec = { kind: 'mic', metres: 1 };

function putDevice(draft: Plan, id: string, spec: DeviceSpec): void {
  const old = draft.devices[id] as Device | undefined;
  draft.devices[id] = {
    ...old,
    model: spec.model,
    settings: { ...spec.settings },
    ...(spec.supply ? { supply: spec.supply } : {})
  };
  // Another class is no longer what the own model was made from.
  if (old && old.model !== spec.model) delete draft.devices[id].own;
}

function putCable(draft: Plan, id: string, spec: CableSpec, source: string, sink: string, leaves?: string): void {
  const near = modelAt(draft, source);
  const old = draft.cables[id] as Plan['cables'][string] | undefined;
  // A lead that stays where it is stays in its socket, be it a thru.
  const stays = old?.from.device === source && old.kind === spec.kind ? old.from.port : undefined;
  const port = leaves ?? stays;
  const from: PortSpec = (port && portOf(near, port)) || portFor(near, 'out', spec.kind);
  const to = portFor(modelAt(draft, sink), 'in', spec.kind);
  draft.cables[id] = {
    kind: spec.kind,
    metres: spec.metres,
    from: { device: source, port: from.id },
    to: { device: sink, port: to.id },
    plugs: [spec.plugs?.[0] ?? plugFor(spec.kind, from.socket), spec.plugs?.[1] ?? plugFor(spec.kind, to.socket)],
    ...(spec.couplers ? { couplers: spec.couplers } : {}),
    ...(spec.wiring?.some((w) => w !== 'plain') ? { wiring: [...spec.wiring] } : {}),
    ...(spec.settings && Object.keys(spec.settings).length > 0 ? { settings: { ...spec.settings } } : {})
  };
}

/** Takes a line out of the draft: its devices, cables and info, but nothing that another line runs through as well. */
export function dropLine(draft: Plan, line: Line): void {
  const others = traceLines(draft).filter((l) => l.id !== line.id);
  const devices = new Set(others.flatMap((l) => l.devices));
  const cables = new Set(others.flatMap((l) => l.cables));
  for (const id of line.cables) if (!cables.has(id)) delete draft.cables[id];
  for (const id of line.devices) {
    if (devices.has(id)) continue;
    delete draft.devices[id];
    delete draft.lines[id];
  }
}
