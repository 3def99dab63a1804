import { blankSupply } from './blank';
import { hasTrait, portFor, portOf } from '../gear/catalogue';
import { plugFor } from '../gear/cables';
import type { PortSpec } from '../gear/types';
import { modelAt, plugIn } from './devices';
import { forget } from './resolved';
import type { Device, Plan } from './schema';
import type { CableSpec, DeviceSpec } from './spec';

/** Devices and cables of a way, with the ids they are to have. `cables[k]` joins `devices[k]` to `devices[k + 1]`. */
export interface Written {
  readonly devices: readonly (DeviceSpec | null)[];
  readonly ids: readonly string[];
  readonly cables: readonly CableSpec[];
  readonly cableIds: readonly string[];
  /** Socket by which it leaves its first device, where it is not the usual one. */
  readonly leaves?: string;
}

/**
 * Writes a way into a plan (changed in place): the one place where a line's devices and cables are made or exchanged. A device that is null
 * stays as it is. What is of the same id keeps what the spec says nothing about; another class in its place keeps its place alone.
 */
export function writeWay(draft: Plan, { devices, ids, cables, cableIds, leaves }: Written): void {
  forget(draft);
  const last = devices.length - 1;
  devices.forEach((spec, k) => {
    if (!spec) return;
    const old = draft.devices[ids[k]] as Device | undefined;
    const changed = old?.model !== spec.model;
    const device: Device = {
      ...old,
      model: spec.model,
      settings: { ...spec.settings },
      ...(spec.supply ? { supply: spec.supply } : spec.elsewhere ? { supply: otherSupply(draft) } : {})
    };
    // Another class is no longer what the own model was made from.
    if (old && changed) delete device.own;
    // What stood in the middle may have had a socket on the wall; another thing in its place has not.
    if (old && changed && k > 0 && k < last && !spec.supply) delete device.supply;
    draft.devices[ids[k]] = device;
    const beside = k > 0 ? draft.devices[ids[0]].supply : undefined;
    if (k < last) plugIn(draft, ids[k], beside);
    else if (changed) placeInput(draft, ids[k], beside);
  });
  cables.forEach((spec, k) => writeCable(draft, cableIds[k], spec, ids[k], ids[k + 1], k === 0 ? leaves : undefined));
}

/** A supply that is not the desk's: one that is there, or another circuit of which nothing more is known. */
function otherSupply(draft: Plan): string {
  const own = Object.values(draft.hosts)[0]?.supply;
  const known = Object.keys(draft.supplies).find((id) => id !== own);
  if (known) return known;
  let id = 'other';
  for (let k = 2; id in draft.supplies; k++) id = `other-${k}`;
  draft.supplies[id] = { ...blankSupply('Another circuit'), emf: OTHER_EMF, spread: 10 };
  return id;
}
/** Between two circuits of one building, volts: what is found where nobody has measured. */
const OTHER_EMF = 0.03;

/** An input is one of the desk's, unless it stands for itself: then it is fed where the source is, or from the first supply. */
function placeInput(draft: Plan, id: string, beside: string | undefined): void {
  const device = draft.devices[id];
  if (hasTrait(device.model, 'stands-alone')) return plugIn(draft, id, beside);
  device.host ??= Object.keys(draft.hosts)[0];
  if (device.host === undefined) delete device.host;
}

function writeCable(draft: Plan, id: string, spec: CableSpec, near: string, far: string, leaves?: string): void {
  const model = modelAt(draft, near);
  const old = draft.cables[id] as Plan['cables'][string] | undefined;
  // A lead that stays where it is stays in its socket, be it a thru.
  const stays = old?.from.device === near && old.kind === spec.kind ? old.from.port : undefined;
  const port = leaves ?? stays;
  const from: PortSpec = (port && portOf(model, port)) || portFor(model, 'out', spec.kind);
  const to = portFor(modelAt(draft, far), 'in', spec.kind);
  draft.cables[id] = {
    kind: spec.kind,
    metres: spec.metres,
    from: { device: near, port: from.id },
    to: { device: far, port: to.id },
    plugs: [spec.plugs?.[0] ?? plugFor(spec.kind, from.socket), spec.plugs?.[1] ?? plugFor(spec.kind, to.socket)],
    ...(spec.couplers ? { couplers: spec.couplers } : {}),
    ...(spec.wiring?.some((w) => w !== 'plain') ? { wiring: [...spec.wiring] } : {}),
    ...(spec.settings && Object.keys(spec.settings).length > 0 ? { settings: { ...spec.settings } } : {})
  };
}
