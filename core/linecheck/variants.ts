import { resolve } from '../plan/resolved';
import { modelAt, settingsAt } from '../plan/devices';
import { DeviceSettings, hasTrait, modelOf, usualChoices } from '../gear/catalogue';
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
  | { code: 'source-off' }
  | { code: 'gain-high' }
  | { code: 'lead-dead'; cable: number; from: string; to: string }
  | { code: 'no-power'; model: string; feed: 'battery' | 'mains' }
  | { code: 'muted' }
  | { code: 'elsewhere' }
  | { code: 'level'; db: number };

export interface Variant {
  readonly what: Difference;
  readonly plan: Plan;
  /** The line whose signal is read. */
  readonly lineId: string;
  /** How often it is so, against all others. */
  readonly prior: number;
  /** Nothing comes out of the channel, whatever the network says: what is off, dead or plugged elsewhere. */
  readonly silent?: Silence;
  /** The desk's gain stands too high: the channel distorts whatever the network says, and its meter is at the top. */
  readonly overdriven?: true;
}

/** A channel out of which nothing comes. */
export interface Silence {
  /** What is heard of hum then, of all times: none, faint, clear. Our own estimate; null where it is as planned. */
  readonly hum: readonly [none: number, faint: number, clear: number] | null;
  /** How often the channel's input meter moves all the same. */
  readonly meter: number;
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
  off: 0.06,
  dead: 0.03,
  // The pair of a multicore lies still and is seldom trodden on.
  deadMulticore: 0.015,
  empty: 0.04,
  gain: 0.06,
  muted: 0.05,
  elsewhere: 0.04,
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
  if (!hasTrait(plan.devices[line.id].model, 'no-meter'))
    list.push({ what: { code: 'gain-high' }, plan, prior: PRIOR.gain, lineId: line.id, overdriven: true });
  return [...list, ...silencesOf(plan, line), ...othersOf(plan, line)];
}

/** An open end hums: a jack lead at once, a balanced one seldom. A muted channel gives nothing at all. */
const OPEN_ENDED = [0.15, 0.25, 0.6] as const;
const OPEN_BALANCED = [0.6, 0.25, 0.15] as const;
const STILL = [0.97, 0.02, 0.01] as const;
/** How often a meter that should not is seen to move, and the other way round. */
const MISSEEN = 0.04;

/** What leaves a channel without a sound, from the source on. None of it needs a network: no signal is no signal. */
export function silencesOf(plan: Plan, line: Line): Variant[] {
  const still = (what: Difference, prior: number, hum: Silence['hum'] = null, meter = MISSEEN): Variant => ({
    what,
    plan,
    prior,
    lineId: line.id,
    silent: { hum, meter }
  });
  const list: Variant[] = [still({ code: 'source-off' }, PRIOR.off)];
  for (const id of line.devices.slice(1, -1)) {
    const { model, feed } = settingsAt(plan, id);
    if (model.family !== 'box' || ['none', 'phantom', 'supply'].includes(feed)) continue;
    const by = feed === 'battery' ? 'battery' : 'mains';
    list.push(still({ code: 'no-power', model: model.id, feed: by }, PRIOR.empty));
  }
  line.cables.forEach((id, cable) => {
    const { kind } = plan.cables[id];
    const [from, to] = [line.devices[cable], line.devices[cable + 1]].map((d) => plan.devices[d].model);
    const prior = kind === 'multicore' ? PRIOR.deadMulticore : PRIOR.dead;
    const hum = CABLES[kind].cores === 2 ? OPEN_BALANCED : OPEN_ENDED;
    list.push(still({ code: 'lead-dead', cable, from, to }, prior, hum));
  });
  return [
    ...list,
    still({ code: 'elsewhere' }, PRIOR.elsewhere),
    still({ code: 'muted' }, PRIOR.muted, STILL, 1 - MISSEEN)
  ];
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
