import { modelAt } from '../plan/devices';
import { modelOf, usualChoices, wantsPhantom } from '../gear/catalogue';
import { plugFor } from '../gear/cables';
import type { LevelClass } from '../gear/types';
import type { Line } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { rolesOf } from '../plan/spec';
import { endsAtDesk } from './desk';
import { gainChanges, splitChanges } from './gain-and-split';
import { cableChanges } from './cable-changes';
import { boxChanges, farBoxes, isolating, withoutBox } from './box-changes';
import type { Change } from './change';

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
    ...freshBatteries(plan, line),
    ...gainChanges(plan, line),
    ...splitChanges(plan, line),
    ...isolating(plan, line),
    ...farBoxes(plan, line),
    ...withoutBox(plan, line)
  ];
}

/** A battery that is going, changed. */
function freshBatteries(plan: Plan, line: Line): Change[] {
  return line.devices.flatMap((id): Change[] => {
    const { model, settings } = plan.devices[id];
    const usual = modelOf(model).params.battery?.typ;
    const weak = typeof settings.battery === 'number' && usual !== undefined && settings.battery < usual;
    if (settings.cell !== 'low' && !weak) return [];
    return [
      {
        what: { code: 'fresh-battery', model },
        apply: (draft) => {
          delete draft.devices[id].settings.cell;
          if (weak) delete draft.devices[id].settings.battery;
        }
      }
    ];
  });
}

/** Switches that are there to mend something; polarity, voicing and what a device stands in for are the player's. */
const SWITCHES = new Set(['lift', 'pad', 'power', 'phantom', 'plugIn', 'mode', 'tap', 'cut']);

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
