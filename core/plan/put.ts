import { modelOf } from '../gear/catalogue';
import { branchPoint } from './branch';
import { type Line, traceLines } from './lines';
import { forget } from './resolved';
import type { Plan } from './schema';
import { type CableSpec, type DeviceSpec, jointModel, type LineSpec, rolesOf } from './spec';
import { writeWay } from './write';

/**
 * Writes a spoken line into a plan (changed in place), reusing the ids of the line it replaces where the role stays.
 * @param newId gives a fresh id for a role
 */
export function putLine(draft: Plan, spec: LineSpec, newId: (role: string) => string, old?: Line): string {
  const roles = old ? rolesOf(draft, old) : null;
  const input = roles?.input ?? newId('in');
  const head = headOf(draft, spec, roles, newId);
  const { boxes, cables } = partsOf(spec);
  const middles = boxes.map((_, k) => roles?.middles[k] ?? newId(k === 0 ? 'mid' : `mid${k + 1}`));
  for (const id of roles?.middles.slice(boxes.length) ?? []) {
    delete draft.devices[id];
    delete draft.lines[id];
  }
  for (const id of roles?.cables.slice(cables.length) ?? []) delete draft.cables[id];
  writeWay(draft, {
    devices: [head.source, ...boxes, spec.input],
    ids: [head.device, ...middles, input],
    cables,
    cableIds: cables.map((_, k) => roles?.cables[k] ?? newId(k === 0 ? 'lead' : k === 1 ? 'run' : `run${k}`)),
    leaves: head.port
  });
  draft.lines[input] = {
    ...draft.lines[input],
    name: spec.name,
    exposure: spec.exposure ?? draft.lines[input]?.exposure ?? 'normal',
    ...(spec.channel ? { channel: spec.channel } : {}),
    ...(spec.pair ? { pair: spec.pair } : {}),
    ...(spec.act ? { act: spec.act } : {}),
    ...(spec.note ? { note: spec.note } : {})
  };
  return input;
}

/**
 * Writes lines that were said together: what leaves the one before it by its thru stands behind it.
 * @param makeId gives for the line of a number what makes its ids
 */
export function putLines(
  draft: Plan,
  specs: readonly LineSpec[],
  makeId: (k: number) => (role: string) => string
): void {
  let before: string | undefined;
  specs.forEach((spec, k) => {
    const { thru, ...rest } = spec;
    const line = putLine(draft, thru && before !== undefined ? { ...rest, from: before } : rest, makeId(k));
    if (!thru) before = line;
  });
}

/** Where the line starts: at its source, or at a socket of the line that it leaves. */
function headOf(
  draft: Plan,
  spec: LineSpec,
  roles: ReturnType<typeof rolesOf>,
  newId: (role: string) => string
): { device: string; port?: string; source: DeviceSpec | null } {
  const parent = spec.from === undefined ? undefined : traceLines(draft).find((l) => l.id === spec.from);
  if (parent && roles?.branch?.of === parent.id) return { device: roles.source, port: roles.branch.port, source: null };
  // What had a source of its own and now leaves another line has no more use for it.
  if (parent && roles && !roles.branch && roles.source !== spec.from) delete draft.devices[roles.source];
  if (parent) return { ...branchPoint(draft, parent, modelOf(spec.input.model).ports[0], newId), source: null };
  return { device: roles && !roles.branch ? roles.source : newId('src'), source: spec.source };
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

/** Takes a line out of the draft: its devices, cables and info, but nothing that another line runs through as well. */
export function dropLine(draft: Plan, line: Line): void {
  forget(draft);
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
