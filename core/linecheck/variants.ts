import { resolve } from '../plan/resolved';
import { modelAt } from '../plan/devices';
import { usualChoices, modelOf, DeviceSettings } from '../gear/catalogue';
import { CABLES } from '../gear/cables';
import { copyOf } from '../plan/json';
import { type Line } from '../plan/lines';
import type { Plan } from '../plan/schema';

/** What may be otherwise on the day than in the plan: each a plan of its own, to be solved. */

export type Difference =
  | { code: 'as-planned' }
  | { code: 'switch'; model: string; setting: string; value: string }
  | { code: 'battery-weak'; model: string }
  | { code: 'phantom-off' }
  | { code: 'other-source'; lineId: string; pair: boolean }
  | { code: 'half-lost'; cable: number }
  | { code: 'level'; db: number };

export interface Variant {
  readonly what: Difference;
  readonly plan: Plan;
  /** The line whose signal is read. */
  readonly lineId: string;
  /** How often it is so, against all others. */
  readonly prior: number;
}

/** How often each is met, our own estimate: what matters is which is met more often than another. */
const PRIOR = {
  planned: 0.6,
  switch: 0.04,
  battery: 0.05,
  phantom: 0.06,
  pair: 0.04,
  neighbour: 0.02,
  half: 0.04,
  level: 0.05
} as const;
/** Switches that are left in the wrong place, and move a level. */
const LEFT: ReadonlySet<string> = new Set(['pad', 'tap', 'mode', 'plug']);
/** A player is off the plan by so much when he is, dB. */
const OFF_DB = [-16, -10, 10];
/** A battery that is nearly empty, volts of rail. */
const WEAK_VOLTS = 3;
/** Channels beside this one into which a plug may have gone. */
const NEIGHBOURS = 2;

/** The plan itself first, then everything that may differ on this line. */
export function variantsOf(plan: Plan, line: Line): Variant[] {
  const same = { lineId: line.id };
  const changed = (what: Difference, prior: number, change: (draft: Plan) => void): Variant => {
    const draft = copyOf(plan);
    change(draft);
    return { what, plan: draft, prior, ...same };
  };
  const list: Variant[] = [{ what: { code: 'as-planned' }, plan, prior: PRIOR.planned, ...same }];
  for (const id of line.devices) {
    const device = plan.devices[id];
    const model = modelOf(device.model);
    if (model.family === 'source' || (model.family === 'input' && id !== line.id)) continue;
    const read = new DeviceSettings(model, device.settings);
    for (const setting of Object.keys(model.options).filter((name) => LEFT.has(name)))
      for (const value of usualChoices(model, setting))
        if (value !== read.choice(setting))
          list.push(
            changed({ code: 'switch', model: model.id, setting, value }, PRIOR.switch, (draft) => {
              draft.devices[id].settings[setting] = value;
            })
          );
    if (read.feed === 'battery' && 'battery' in model.params)
      list.push(
        changed({ code: 'battery-weak', model: model.id }, PRIOR.battery, (draft) => {
          draft.devices[id].settings.battery = Math.max(WEAK_VOLTS, model.params.battery.low);
        })
      );
  }
  if (plan.devices[line.id].settings.phantom === 'on')
    list.push(
      changed({ code: 'phantom-off' }, PRIOR.phantom, (draft) => {
        draft.devices[line.id].settings.phantom = 'off';
      })
    );
  line.cables.forEach((id, k) => {
    if (CABLES[plan.cables[id].kind].cores !== 2 || plan.cables[id].kind === 'speaker') return;
    list.push(
      changed({ code: 'half-lost', cable: k }, PRIOR.half, (draft) => {
        draft.cables[id].wiring = ['plain', 'cold-open'];
      })
    );
  });
  for (const db of OFF_DB)
    list.push(
      changed({ code: 'level', db }, PRIOR.level, (draft) => {
        const [source] = line.devices;
        const model = modelAt(draft, source);
        const { low, high } = model.params.nominal;
        const now = new DeviceSettings(model, draft.devices[source].settings).value('nominal');
        draft.devices[source].settings.nominal = Math.min(Math.max(now * 10 ** (db / 20), low), high);
      })
    );
  return [...list, ...othersOf(plan, line)];
}

/** Lines whose plug may be in this channel: the other side of a pair, and the channels next to it. */
function othersOf(plan: Plan, line: Line): Variant[] {
  const { host } = plan.devices[line.id];
  const channel = line.info?.channel;
  return resolve(plan).lines.flatMap((other): Variant[] => {
    if (other.id === line.id || !other.info || plan.devices[other.id].host !== host) return [];
    const pair = Boolean(line.info?.pair) && other.info.pair === line.info?.pair;
    const apart =
      channel === undefined || other.info.channel === undefined ? Infinity : Math.abs(channel - other.info.channel);
    if (!pair && apart > NEIGHBOURS) return [];
    return [
      {
        what: { code: 'other-source', lineId: other.id, pair },
        plan,
        lineId: other.id,
        prior: pair ? PRIOR.pair : PRIOR.neighbour
      }
    ];
  });
}
