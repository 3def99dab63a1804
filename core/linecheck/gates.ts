import { modelOf, wantsPhantom } from '../gear/catalogue';
import { modelAt, settingsAt } from '../plan/devices';
import type { Line } from '../plan/lines';
import type { Op, Plan } from '../plan/schema';

/** Steps of bringing a line up, in the order in which they are safe; each before the one that needs it. */

export type Step =
  'amp-off' | 'mute' | 'patch' | 'load' | 'phantom-on' | 'phantom-off' | 'gain-least' | 'unmute' | 'gain-set';
export type Caution = 'speaker-level' | 'bridged' | 'valve' | 'ribbon' | 'earth-removed' | 'outdoors' | 'tingle';

/** Whether it carries what drives a loudspeaker. */
const isLoud = (plan: Plan, line: Line): boolean => modelAt(plan, line.devices[0]).ports[0].level === 'speaker';

/** What has to be done for a line, first things first: nothing is plugged into an open channel, or with phantom on. */
export function stepsOf(plan: Plan, line: Line): Step[] {
  const input = plan.devices[line.id];
  const gives = modelOf(input.model).options.phantom !== undefined;
  const hungry = line.devices.some((id) => wantsPhantom(plan.devices[id]));
  const loud = isLoud(plan, line);
  return [
    ...(loud ? (['amp-off'] as const) : []),
    'gain-least',
    'mute',
    ...(gives ? (['phantom-off'] as const) : []),
    'patch',
    ...(loud ? (['load'] as const) : []),
    ...(gives && hungry && input.settings.phantom === 'on' ? (['phantom-on'] as const) : []),
    'unmute',
    'gain-set'
  ];
}

/** What a change of a live line asks for: steps before it is made, and after. */
export interface Gates {
  readonly before: readonly Step[];
  readonly after: readonly Step[];
}

/**
 * Steps around a change of a line that is live. Whatever is plugged or unplugged wants its phantom off and its channel muted; a switch
 * of a box clicks, so it is muted too. @param ops what is changed @param then the plan with them
 */
export function gatesFor(plan: Plan, line: Line, ops: readonly Op[], then: Plan): Gates {
  const plugs = ops.some((op) => op.op !== 'set' || op.table === 'cables');
  const loud = isLoud(plan, line);
  const phantom = (of: Plan): boolean => of.devices[line.id]?.settings.phantom === 'on';
  return {
    before: [
      ...(loud && plugs ? (['amp-off'] as const) : []),
      'gain-least',
      'mute',
      ...(phantom(plan) && (plugs || !phantom(then)) ? (['phantom-off'] as const) : [])
    ],
    after: [
      ...(loud && plugs ? (['load'] as const) : []),
      ...(phantom(then) && (plugs || !phantom(plan)) ? (['phantom-on'] as const) : []),
      'unmute',
      'gain-set'
    ]
  };
}

const onMains = (plan: Plan, id: string): boolean => {
  const { host } = plan.devices[id];
  return (host === undefined ? settingsAt(plan, id).feed : plan.hosts[host].feed).startsWith('mains');
};

/** What can hurt on this line, worst first; a tingle can come from any that has a player on a wire. */
export function cautionsOf(plan: Plan, line: Line): Caution[] {
  const [id] = line.devices;
  const { model } = plan.devices[id];
  const read = settingsAt(plan, id);
  const held = modelOf(model).ports[0].level === 'instrument' || modelOf(model).ports[0].level === 'microphone';
  return [
    ...(line.devices.some((d) => settingsAt(plan, d).unearthed) ? (['earth-removed'] as const) : []),
    ...(modelOf(model).ports[0].level === 'speaker' ? (['speaker-level'] as const) : []),
    ...(read.choice('bridged') === 'yes' ? (['bridged'] as const) : []),
    ...(model === 'valve-amp' ? (['valve'] as const) : []),
    ...(model === 'ribbon' ? (['ribbon'] as const) : []),
    ...(plan.policy.outdoors && line.devices.some((d) => onMains(plan, d)) ? (['outdoors'] as const) : []),
    ...(held ? (['tingle'] as const) : [])
  ];
}
