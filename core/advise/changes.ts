import { modelAt } from '../plan/devices';
import { defaultKind, givesPhantom, modelOf, portOf, usualChoices, wantsPhantom } from '../gear/catalogue';
import { CABLE_KIND_IDS, CABLES, plugFor } from '../gear/cables';
import { hasSecond, mates } from '../gear/sockets';
import type { LevelClass, PortSpec, Settings } from '../gear/types';
import { unbalancedLimit } from '../judge/limits';
import { chainOf, putChain, standsAlone } from '../plan/chain';
import type { Line } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { type CableSpec, rolesOf, specOf } from '../plan/spec';
import { putLine } from '../plan/put';
import { endsAtDesk, wantedOf } from './routes';
import { gainChanges, splitChanges } from './gain-and-split';
import { waysOf } from './ways';

/** Single changes to a line that may make it better. None touches protective earth. */

/** What a remedy does, for wording. */
export type RemedyWhat =
  | { code: 'box'; model: string; instead: string | null }
  | { code: 'setting'; model: string; setting: string; value: string }
  | { code: 'no-couplers' }
  | { code: 'plugs'; plug: string; model: string }
  | { code: 'lead'; kind: string; plugs?: readonly [string, string] }
  | { code: 'input'; model: string }
  | { code: 'move-box'; metres: number }
  | { code: 'supply'; name: string }
  | { code: 'feed'; feed: string }
  | { code: 'wiring'; wiring: string }
  | { code: 'shorter'; metres: number }
  | { code: 'isolate' }
  | { code: 'no-box'; model: string; input: string | null }
  | { code: 'way'; boxes: readonly string[] }
  | { code: 'turn-down'; db: number }
  | { code: 'turn-up'; db: number }
  | { code: 'box-gain'; model: string; db: number }
  | { code: 'split'; model: string; lifted: boolean };

export type Change = { what: RemedyWhat; apply: (draft: Plan) => void };

const BOX_CHOICES = ['active-di-10m', 'active-di', 'passive-di', 'media-di', 'isolator', 'speaker-di'] as const;
/** Inputs worth trying: what a cartridge or a loudspeaker output needs, there is only one of. */
const inputChoices = (level: LevelClass): readonly string[] =>
  level === 'phono'
    ? ['phono-in']
    : level === 'speaker'
      ? ['cabinet', 'mic-in', 'line-in']
      : ['mic-in', 'line-in', 'instrument-in', 'consumer-in'];

/** Every single change worth trying on this line. None touches protective earth. */
export function candidates(plan: Plan, line: Line): Change[] {
  return [
    ...boxChanges(plan, line),
    ...settingChanges(plan, line),
    ...cableChanges(plan, line),
    ...inputChanges(plan, line),
    ...powerChanges(plan, line),
    ...gainChanges(plan, line),
    ...splitChanges(plan, line),
    ...isolating(plan, line),
    ...farBoxes(plan, line),
    ...withoutBox(plan, line)
  ];
}

function boxChanges(plan: Plan, line: Line): Change[] {
  const spec = specOf(plan, line);
  if (!spec) return [];
  const phantomOn = {
    ...spec.input.settings,
    ...(givesPhantom(spec.input.model) ? { phantom: 'on' } : {})
  };
  const lift: Settings = spec.box && typeof spec.box.settings.lift === 'string' ? { lift: spec.box.settings.lift } : {};
  const source = modelOf(spec.source.model);
  const out = spec.from === undefined ? source.ports[0] : leavesBy(plan, line);
  // An amplifier, a camera, a cabinet is fed for its own sake: no box leads to a desk instead.
  if (!spec.box && FOR_ITSELF.has(spec.input.model)) return [];
  return BOX_CHOICES.filter((id) => id !== spec.box?.model && boxTakes(id, out)).map((id) => ({
    what: { code: 'box', model: id, instead: spec.box?.model ?? null },
    apply: (draft) => {
      const total = (spec.lead?.metres ?? 0) + (spec.run?.metres ?? 0);
      // With a box, the lead is short and the run balanced; what there was in one piece is divided.
      const fresh = !spec.box;
      const leadMetres = fresh ? Math.min(3, spec.lead?.metres ?? 3) : (spec.lead?.metres ?? 3);
      const kind = spec.lead?.kind ?? defaultKind('lead', source.id, leadMetres);
      const toMic = fresh && !INPUT_BALANCED.has(spec.input.model);
      putLine(
        draft,
        {
          ...spec,
          lead: { ...(spec.lead ?? { kind }), kind, metres: leadMetres, plugs: undefined },
          box: { model: id, settings: lift },
          run: spec.run ? runBehind(id, spec.run) : { kind: 'mic', metres: Math.max(total - leadMetres, 1) },
          input: toMic
            ? { model: 'mic-in', settings: { phantom: needsPhantom(id) ? 'on' : 'off' } }
            : { ...spec.input, settings: needsPhantom(id) ? phantomOn : spec.input.settings }
        },
        (role) => freshId(draft, line.id, role),
        line
      );
    }
  }));
}

const FOR_ITSELF = new Set(['amp-in', 'camera-in', 'cabinet']);
/** The output by which a branch leaves its line. */
function leavesBy(plan: Plan, line: Line): PortSpec {
  const { source, branch } = rolesOf(plan, line)!;
  return portOf(modelAt(plan, source), branch!.port)!;
}

/** The run that was there, of a kind that carries what such a box gives. */
function runBehind(box: string, run: CableSpec): CableSpec {
  const kind = CABLES[run.kind].cores === 1 ? defaultKind('run', box, run.metres) : run.kind;
  return { ...run, kind, plugs: undefined, ...(kind === run.kind ? {} : { settings: undefined }) };
}

const INPUT_BALANCED = new Set(['mic-in', 'line-in', 'combo-in', 'speaker-in']);
const needsPhantom = (box: string): boolean => wantsPhantom({ model: box, settings: {} });
/** Whether a box has an input for what the source gives: stereo, balanced, unbalanced, loudspeaker level. */
const boxTakes = (box: string, out: PortSpec): boolean =>
  // A box made for stereo has a mono socket as well, but is nobody's first choice for it.
  (modelOf(box).ports[0].carries !== 'stereo' || out.carries === 'stereo' || out.socket === 'rca') &&
  modelOf(box).ports.some(
    (port) =>
      port.way === 'in' &&
      (port.level === 'speaker') === (out.level === 'speaker') &&
      (out.level === 'speaker' || port.carries === out.carries)
  );
const freshId = (draft: Plan, line: string, role: string): string => {
  for (let k = 1; ; k++) {
    const id = `${line}-${role}${k}`.slice(-40);
    if (!(id in draft.devices) && !(id in draft.cables)) return id;
  }
};

/** Switches that are there to mend something; polarity, voicing and what a device stands in for are the player's. */
const SWITCHES = new Set(['lift', 'pad', 'power', 'phantom', 'plugIn', 'mode', 'tap']);

/** Switches of the devices on the line: every other position. */
function settingChanges(plan: Plan, line: Line): Change[] {
  return line.devices.flatMap((id): Change[] => {
    const device = plan.devices[id];
    const model = modelOf(device.model);
    // A speaker that passes on has switches for its own line.
    if (model.family === 'input' && id !== line.id) return [];
    const names = Object.keys(model.options).filter((name) => SWITCHES.has(name));
    return names.flatMap((setting) =>
      usualChoices(model, setting)
        .filter((value) => value !== (device.settings[setting] ?? model.options[setting].default))
        .map((value) => ({
          what: { code: 'setting' as const, model: device.model, setting, value },
          apply: (draft: Plan) => {
            draft.devices[id].settings[setting] = value;
          }
        }))
    );
  });
}

function cableChanges(plan: Plan, line: Line): Change[] {
  return line.cables.flatMap((id, k): Change[] => {
    const cable = plan.cables[id];
    const out: Change[] = [];
    const near = portOf(modelAt(plan, cable.from.device), cable.from.port)!;
    const far = portOf(modelAt(plan, cable.to.device), cable.to.port)!;
    const limit = unbalancedLimit(plan.policy, near.level);
    if (near.carries === 'unbalanced' && cable.metres > limit) {
      const next = line.cables[k + 1];
      const joinsBox = modelAt(plan, cable.to.device).family === 'box';
      if (next && joinsBox)
        // The box moves to the player: what the lead loses, the balanced run gains.
        out.push({
          what: { code: 'move-box', metres: limit },
          apply: (draft) => {
            const cut = draft.cables[id].metres - limit;
            draft.cables[id].metres = limit;
            delete draft.cables[id].couplers;
            draft.cables[next].metres += cut;
          }
        });
    }
    if (limit > 0 && near.carries !== 'balanced' && cable.metres > limit && line.cables.length === 1)
      out.push({
        what: { code: 'shorter', metres: limit },
        apply: (draft) => {
          draft.cables[id].metres = limit;
          delete draft.cables[id].couplers;
        }
      });
    if (cable.wiring?.some((w) => w !== 'plain'))
      out.push({ what: { code: 'wiring', wiring: 'plain' }, apply: (draft) => void delete draft.cables[id].wiring });
    // What becomes of the leg that an unbalanced end has no use for.
    if (near.carries === 'balanced' && CABLES[cable.kind].cores === 2 && !hasSecond(cable.plugs[1]))
      for (const wiring of ['cold-open', 'cold-grounded'] as const)
        if (cable.wiring?.[0] !== wiring)
          out.push({
            what: { code: 'wiring', wiring },
            apply: (draft) => {
              draft.cables[id].wiring = [wiring, draft.cables[id].wiring?.[1] ?? 'plain'];
            }
          });
    if (cable.couplers)
      out.push({ what: { code: 'no-couplers' }, apply: (draft) => void delete draft.cables[id].couplers });
    const plugs = [plugFor(cable.kind, near.socket), plugFor(cable.kind, far.socket)] as const;
    if (
      plugs.some((plug, side) => plug !== cable.plugs[side]) &&
      mates(plugs[0], near.socket) &&
      mates(plugs[1], far.socket)
    )
      out.push({
        what: { code: 'plugs', plug: plugs[1], model: plan.devices[cable.to.device].model },
        apply: (draft) => {
          draft.cables[id].plugs = [...plugs];
        }
      });
    if (!plugs.every((plug, side) => mates(plug, [near, far][side].socket)))
      for (const kind of CABLE_KIND_IDS) {
        const fits = [near, far].map((port) => CABLES[kind].plugs.find((plug) => mates(plug, port.socket)));
        if (kind === cable.kind || !fits[0] || !fits[1] || (near.level === 'speaker') !== (kind === 'speaker'))
          continue;
        out.push({
          what: { code: 'lead', kind, ...(fits[0] === fits[1] ? {} : { plugs: [fits[0], fits[1]] as const }) },
          apply: (draft) => {
            draft.cables[id] = { ...draft.cables[id], kind, plugs: [fits[0]!, fits[1]!] };
            delete draft.cables[id].settings;
            delete draft.cables[id].wiring;
          }
        });
      }
    if (near.carries === 'balanced' && far.carries === 'balanced' && CABLES[cable.kind].cores === 1)
      out.push({
        what: { code: 'lead', kind: 'mic' },
        apply: (draft) => {
          draft.cables[id].kind = 'mic';
          draft.cables[id].plugs = [plugFor('mic', near.socket), plugFor('mic', far.socket)];
          delete draft.cables[id].settings;
        }
      });
    return out;
  });
}

/** Another input of the same desk, with the run's plug to fit it. */
function inputChanges(plan: Plan, line: Line): Change[] {
  if (!rolesOf(plan, line) || !endsAtDesk(plan, line)) return [];
  const device = plan.devices[line.id];
  const cable = line.cables[line.cables.length - 1];
  const phantom = line.devices.some((id) => wantsPhantom(plan.devices[id]));
  const { level } = modelAt(plan, line.devices[0]).ports[0];
  return inputChoices(level)
    .filter((id) => id !== device.model)
    .map((id) => ({
      what: { code: 'input', model: id },
      apply: (draft) => {
        draft.devices[line.id].model = id;
        draft.devices[line.id].settings = id === 'mic-in' && phantom ? { phantom: 'on' } : {};
        draft.cables[cable].plugs[1] = plugFor(draft.cables[cable].kind, modelOf(id).ports[0].socket);
      }
    }));
}

/** Where the source is plugged in, and whether it needs to be. */
function powerChanges(plan: Plan, line: Line): Change[] {
  const [id] = line.devices;
  const device = plan.devices[id];
  const model = modelOf(device.model);
  const out: Change[] = [];
  const feed = device.settings.feed ?? model.feeds[0];
  const far = plan.devices[line.id].host;
  const there = far ? plan.hosts[far]?.supply : undefined;
  if (String(feed).startsWith('mains') && there && there !== device.supply)
    out.push({
      what: { code: 'supply', name: plan.supplies[there].name },
      apply: (draft) => {
        draft.devices[id].supply = there;
      }
    });
  if (feed !== 'battery' && model.feeds.includes('battery'))
    out.push({
      what: { code: 'feed', feed: 'battery' },
      apply: (draft) => {
        draft.devices[id].settings.feed = 'battery';
      }
    });
  return out;
}

/** A 1:1 transformer right before a balanced input. */
function isolating(plan: Plan, line: Line): Change[] {
  const port = modelAt(plan, line.id).ports[0];
  const has = line.devices.some((id) => plan.devices[id].model === 'isolator');
  if (port.carries !== 'balanced' || port.level === 'speaker' || has || line.cables.length < 2) return [];
  if (!standsAlone(plan, line)) return [];
  const chain = chainOf(plan, line);
  const last = chain.devices.length - 1;
  return [
    {
      what: { code: 'isolate' },
      apply: (draft) =>
        putChain(
          draft,
          line,
          {
            devices: [...chain.devices.slice(0, last), { model: 'isolator', settings: {} }, chain.devices[last]],
            cables: [...chain.cables, { kind: 'mic', metres: 1 }]
          },
          (role) => freshId(draft, line.id, role)
        )
    }
  ];
}

/** What turns a balanced line into one that an unbalanced input takes, put up at its far end. */
function farBoxes(plan: Plan, line: Line): Change[] {
  const [first] = line.devices;
  const far = modelAt(plan, line.id).ports[0];
  if (modelAt(plan, first).ports[0].carries !== 'balanced' || far.carries === 'balanced') return [];
  if (!standsAlone(plan, line)) return [];
  return waysOf(wantedOf(plan, line))
    .filter(({ way }) => way.boxes.length > 0 && way.input === plan.devices[line.id].model)
    .map(({ way, chain }) => ({
      what: { code: 'way', boxes: way.boxes },
      apply: (draft) => putChain(draft, line, chain, (role) => freshId(draft, line.id, role))
    }));
}

/** The box taken out, one cable from end to end. */
function withoutBox(plan: Plan, line: Line): Change[] {
  const chain = chainOf(plan, line);
  const middles = chain.devices.slice(1, -1);
  if (middles.length !== 1 || modelOf(middles[0].model).family !== 'box' || !standsAlone(plan, line)) return [];
  return waysOf(wantedOf(plan, line))
    .filter(({ way }) => way.id === 'direct')
    .map(({ way, chain: direct }) => ({
      what: {
        code: 'no-box',
        model: chain.devices[1].model,
        input: way.input === chain.devices[2].model ? null : way.input
      },
      apply: (draft) => putChain(draft, line, direct, (role) => freshId(draft, line.id, role))
    }));
}
