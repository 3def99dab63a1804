import { modelOf, portFor, portOf } from '../gear/catalogue';
import { type CableKindId, plugFor } from '../gear/cables';
import type { Plug } from '../gear/sockets';
import type { Settings } from '../gear/types';
import { type Line, traceLines } from './lines';
import type { Cable, Device, Exposure, Plan } from './schema';

/** A line as one says it: source, lead, box, run, input. Ids and ports follow from it. */
export interface LineSpec {
  readonly name: string;
  readonly channel?: number;
  readonly exposure?: Exposure;
  readonly source: DeviceSpec;
  readonly lead: CableSpec | null;
  readonly box: DeviceSpec | null;
  readonly run: CableSpec | null;
  readonly input: DeviceSpec;
}
export interface DeviceSpec {
  readonly model: string;
  readonly settings: Settings;
  /** Id of the supply that feeds it; for a source. */
  readonly supply?: string;
}
export interface CableSpec {
  readonly kind: CableKindId;
  readonly metres: number;
  readonly couplers?: number;
  readonly plugs?: readonly [Plug | null, Plug | null];
  readonly wiring?: Cable['wiring'];
  readonly settings?: Cable['settings'];
}

/** The roles of a line's parts that a spoken line can hold. */
interface Roles {
  source: string;
  box: string | null;
  joint: string | null;
  input: string;
  lead: string | null;
  run: string | null;
}

/** Which device and cable plays which role; null when the line is more than words can say (two boxes, no input). */
export function rolesOf(plan: Plan, line: Line): Roles | null {
  const families = line.devices.map((id) => modelOf(plan.devices[id].model).family);
  const [a, b, c] = line.devices;
  const shape = families.join(' ');
  if (shape === 'source input') return { source: a, box: null, joint: null, input: b, lead: line.cables[0], run: null };
  if (shape === 'source box input' || shape === 'source joint input') {
    const isBox = families[1] === 'box';
    return {
      source: a,
      box: isBox ? b : null,
      joint: isBox ? null : b,
      input: c,
      lead: line.cables[0],
      run: line.cables[1]
    };
  }
  return null;
}

/** A planned line as a spoken one. */
export function specOf(plan: Plan, line: Line): LineSpec | null {
  const roles = rolesOf(plan, line);
  if (!roles) return null;
  const device = (id: string): DeviceSpec => {
    const { model, settings, supply } = plan.devices[id];
    return { model, settings, ...(supply ? { supply } : {}) };
  };
  const cable = (id: string | null): CableSpec | null => {
    if (id === null) return null;
    const { kind, metres, couplers, plugs, wiring, settings } = plan.cables[id];
    return {
      kind,
      metres,
      ...(couplers ? { couplers } : {}),
      ...(wiring?.some((w) => w !== 'plain') ? { wiring } : {}),
      ...(settings && Object.keys(settings).length > 0 ? { settings } : {}),
      plugs: plugs.map((plug, k) => (plug === plugFor(kind, socketAt(plan, id, k)) ? null : plug)) as [
        Plug | null,
        Plug | null
      ]
    };
  };
  return {
    name: line.info?.name ?? roles.input,
    ...(line.info?.channel ? { channel: line.info.channel } : {}),
    exposure: line.info?.exposure ?? 'normal',
    source: device(roles.source),
    lead: cable(roles.lead),
    box: roles.box ? device(roles.box) : null,
    run: cable(roles.run),
    input: device(roles.input)
  };
}

const socketAt = (plan: Plan, cable: string, side: number) => {
  const end = side === 0 ? plan.cables[cable].from : plan.cables[cable].to;
  return portOf(modelOf(plan.devices[end.device].model), end.port)!.socket;
};

/**
 * Writes a spoken line into a plan (changed in place), reusing the ids of the line it replaces where the role stays.
 * @param newId gives a fresh id for a role
 */
export function putLine(draft: Plan, spec: LineSpec, newId: (role: string) => string, old?: Line): string {
  const roles = old ? rolesOf(draft, old) : null;
  const input = roles?.input ?? newId('in');
  const source = roles?.source ?? newId('src');
  const first = spec.lead ?? spec.run;
  const second = spec.lead && spec.run ? spec.run : null;
  // Two cables need something between them: the box, or else a joint.
  const middle = second || spec.box ? (roles?.box ?? roles?.joint ?? newId('mid')) : null;
  putDevice(draft, source, spec.source);
  putDevice(draft, input, spec.input);
  if (!draft.devices[input].host && Object.keys(draft.hosts).length > 0)
    draft.devices[input].host = Object.keys(draft.hosts)[0];
  const middleSpec = spec.box ?? (middle ? jointFor(spec) : null);
  const oldMiddle = roles?.box ?? roles?.joint;
  if (oldMiddle && !middle) {
    delete draft.devices[oldMiddle];
    delete draft.lines[oldMiddle];
  }
  if (middle && middleSpec) putDevice(draft, middle, middleSpec);

  const lead = roles?.lead ?? newId('lead');
  const run = roles?.run ?? newId('run');
  if (middle) {
    putCable(draft, lead, first ?? ZERO_LEAD, source, middle);
    putCable(draft, run, second ?? ZERO_RUN, middle, input);
  } else {
    putCable(draft, lead, first ?? ZERO_LEAD, source, input);
    if (roles?.run) delete draft.cables[roles.run];
  }
  draft.lines[input] = {
    ...draft.lines[input],
    name: spec.name,
    exposure: spec.exposure ?? draft.lines[input]?.exposure ?? 'normal',
    ...(spec.channel ? { channel: spec.channel } : {})
  };
  return input;
}

const ZERO_LEAD: CableSpec = { kind: 'instrument', metres: 0.3 };
const ZERO_RUN: CableSpec = { kind: 'mic', metres: 1 };

/** Between an unbalanced lead and a balanced run stands a jack-to-XLR adapter; between two jack leads a coupler. */
const jointFor = (spec: LineSpec): DeviceSpec => ({
  model: spec.run && ['mic', 'star-quad', 'multicore'].includes(spec.run.kind) ? 'jack-to-xlr' : 'coupler',
  settings: {}
});

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
  const model = modelOf(spec.model);
  // A device that needs the mains takes the first supply there is.
  if (model.family === 'source' && !draft.devices[id].supply && model.feeds[0].startsWith('mains')) {
    const [supply] = Object.keys(draft.supplies);
    if (supply) draft.devices[id].supply = supply;
  }
}

function putCable(draft: Plan, id: string, spec: CableSpec, source: string, sink: string): void {
  const from = portFor(modelOf(draft.devices[source].model), 'out', spec.kind);
  const to = portFor(modelOf(draft.devices[sink].model), 'in', spec.kind);
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
