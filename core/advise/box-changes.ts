import { CABLES } from '../gear/cables';
import { defaultKind, givesPhantom, modelOf, portOf, wantsPhantom } from '../gear/catalogue';
import type { PortSpec, Settings } from '../gear/types';
import { standsAlone, chainOf, putChain } from '../plan/chain';
import { modelAt } from '../plan/devices';
import type { Line } from '../plan/lines';
import { putLine } from '../plan/put';
import type { Plan } from '../plan/schema';
import { rolesOf, specOf, type CableSpec } from '../plan/spec';
import { freshId } from './ids';
import type { Change } from './change';
import { waysOf } from './ways';
import { wantedOf } from './desk';

const BOX_CHOICES = ['active-di-10m', 'active-di', 'passive-di', 'media-di', 'isolator', 'speaker-di'] as const;
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
export function boxChanges(plan: Plan, line: Line): Change[] {
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
        (role) => freshId([draft], line.id, role),
        line
      );
    }
  }));
}

/** A 1:1 transformer right before a balanced input. */
export function isolating(plan: Plan, line: Line): Change[] {
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
          (role) => freshId([draft], line.id, role)
        )
    }
  ];
}

/** What turns a balanced line into one that an unbalanced input takes, put up at its far end. */
export function farBoxes(plan: Plan, line: Line): Change[] {
  const [first] = line.devices;
  const far = modelAt(plan, line.id).ports[0];
  if (modelAt(plan, first).ports[0].carries !== 'balanced' || far.carries === 'balanced') return [];
  if (!standsAlone(plan, line)) return [];
  return waysOf(wantedOf(plan, line))
    .filter(({ way }) => way.boxes.length > 0 && way.input === plan.devices[line.id].model)
    .map(({ way, chain }) => ({
      what: { code: 'way', boxes: way.boxes },
      apply: (draft) => putChain(draft, line, chain, (role) => freshId([draft], line.id, role))
    }));
}

/** The box taken out, one cable from end to end. */
export function withoutBox(plan: Plan, line: Line): Change[] {
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
      apply: (draft) => putChain(draft, line, direct, (role) => freshId([draft], line.id, role))
    }));
}
