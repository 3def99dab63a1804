import { modelAt } from './devices';
import { portOf } from '../gear/catalogue';
import { type CableKindId, plugFor } from '../gear/cables';
import type { Plug } from '../gear/sockets';
import type { Settings } from '../gear/types';
import { branchOf } from './branch';
import type { Line } from './lines';
import type { Cable, Exposure, Plan } from './schema';

/** A line as one says it: source, lead, box, run, input. Ids and ports follow from it. */
export interface LineSpec {
  readonly name: string;
  readonly channel?: number;
  readonly exposure?: Exposure;
  /** Name of the stereo pair that it is a side of. */
  readonly pair?: string;
  readonly act?: string;
  readonly note?: string;
  /** Of a branch: what stands at the head of the line that it leaves. */
  readonly source: DeviceSpec;
  /** Id of the line that it leaves, where it has no source of its own. */
  readonly from?: string;
  /** It leaves the line said before it, by its thru or a Y lead. */
  readonly thru?: true;
  readonly lead: CableSpec | null;
  readonly box: DeviceSpec | null;
  readonly run: CableSpec | null;
  /** Boxes after the first, each with the cable behind it. */
  readonly more?: readonly { readonly box: DeviceSpec; readonly run: CableSpec }[];
  readonly input: DeviceSpec;
}
export interface DeviceSpec {
  readonly model: string;
  readonly settings: Settings;
  /** Id of the supply that feeds it; for a source. */
  readonly supply?: string;
  /** Fed from another supply than the desk's, which one nobody said. */
  readonly elsewhere?: true;
}
export interface CableSpec {
  readonly kind: CableKindId;
  readonly metres: number;
  readonly couplers?: number;
  readonly plugs?: readonly [Plug | null, Plug | null];
  readonly wiring?: Cable['wiring'];
  readonly settings?: Cable['settings'];
}

/** What stands between source and input, in order. */
export const boxesOfSpec = ({ box, more = [] }: Pick<LineSpec, 'box' | 'more'>): DeviceSpec[] => [
  ...(box ? [box] : []),
  ...more.map((m) => m.box)
];

/** The parts of a line that a spoken line can hold. */
interface Roles {
  readonly source: string;
  /** The line that it leaves, and by which socket of `source`; null for a line with a source of its own. */
  readonly branch: { of: string; port: string } | null;
  /** Boxes and joints between, in order. */
  readonly middles: readonly string[];
  readonly input: string;
  /** One more than there are middles. */
  readonly cables: readonly string[];
}

/** More boxes in one line than this nobody says in a breath. */
export const MOST_BOXES = 4;

/** Which device plays which role; null when the line is more than words can say: no input, no source, boxes without end. */
export function rolesOf(plan: Plan, line: Line): Roles | null {
  const branch = branchOf(plan, line);
  const devices = line.devices.slice(branch?.at ?? 0);
  const cables = line.cables.slice(branch?.at ?? 0);
  const families = devices.map((id) => modelAt(plan, id).family);
  const between = families.slice(1, -1);
  if (devices.length < 2 || families[families.length - 1] !== 'input') return null;
  if (!branch && families[0] !== 'source') return null;
  if (between.length > MOST_BOXES || !between.every((f) => f === 'box' || f === 'joint')) return null;
  return {
    source: devices[0],
    branch: branch && { of: branch.of, port: plan.cables[cables[0]].from.port },
    middles: devices.slice(1, -1),
    input: line.id,
    cables
  };
}

/** The joint that two cables need between them without anybody saying so: an adapter to a balanced run, or a coupler. */
export const jointModel = (run: CableKindId | undefined): string =>
  run !== undefined && ['mic', 'star-quad', 'multicore'].includes(run) ? 'jack-to-xlr' : 'coupler';

/** A planned line as a spoken one. */
export function specOf(plan: Plan, line: Line): LineSpec | null {
  const roles = rolesOf(plan, line);
  if (!roles) return null;
  const device = (id: string): DeviceSpec => {
    const { model, settings, supply } = plan.devices[id];
    return { model, settings, ...(supply ? { supply } : {}) };
  };
  const cable = (id: string): CableSpec => {
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
  const [lead, ...runs] = roles.cables.map(cable);
  const [first, ...rest] = roles.middles.map(device);
  const unsaid = roles.middles.length === 1 && isUnsaid(first, runs[0]);
  return {
    name: line.info?.name ?? roles.input,
    ...(line.info?.channel ? { channel: line.info.channel } : {}),
    exposure: line.info?.exposure ?? 'normal',
    source: device(line.devices[0]),
    ...(roles.branch ? { from: roles.branch.of } : {}),
    lead,
    box: first && !unsaid ? first : null,
    run: runs[0] ?? null,
    ...(rest.length > 0 ? { more: rest.map((box, k) => ({ box, run: runs[k + 1] })) } : {}),
    input: device(roles.input)
  };
}

/** Whether a joint is the one that stands there anyway. */
export const isUnsaid = ({ model, settings }: DeviceSpec, run: CableSpec | null | undefined): boolean =>
  model === jointModel(run?.kind) && Object.keys(settings).length === 0;

const socketAt = (plan: Plan, cable: string, side: number) => {
  const end = side === 0 ? plan.cables[cable].from : plan.cables[cable].to;
  return portOf(modelAt(plan, end.device), end.port)!.socket;
};
