import { modelOf, wantsPhantom } from '../gear/catalogue';
import { readingsAt } from '../plan/devices';
import type { Line } from '../plan/lines';
import type { Plan } from '../plan/schema';

/** Steps of bringing a line up, in the order in which they are safe; each before the one that needs it. */

export type Step =
  'amp-off' | 'mute' | 'patch' | 'load' | 'phantom-on' | 'phantom-off' | 'gain-least' | 'unmute' | 'gain-set';
export type Caution = 'speaker-level' | 'bridged' | 'valve' | 'ribbon' | 'earth-removed' | 'tingle';

/** What has to be done for a line, first things first. */
export function stepsOf(plan: Plan, line: Line): Step[] {
  const source = modelOf(plan.devices[line.devices[0]].model);
  const input = plan.devices[line.id];
  const gives = modelOf(input.model).options.phantom !== undefined;
  const hungry = line.devices.some((id) => wantsPhantom(plan.devices[id]));
  const loud = source.ports[0].level === 'speaker';
  return [
    ...(loud ? (['amp-off'] as const) : []),
    'mute',
    ...(gives && !hungry ? (['phantom-off'] as const) : []),
    'patch',
    ...(loud ? (['load'] as const) : []),
    ...(gives && hungry && input.settings.phantom === 'on' ? (['phantom-on'] as const) : []),
    'gain-least',
    'unmute',
    'gain-set'
  ];
}

/** What can hurt on this line, worst first; a tingle can come from any that has a player on a wire. */
export function cautionsOf(plan: Plan, line: Line): Caution[] {
  const [id] = line.devices;
  const { model } = plan.devices[id];
  const read = readingsAt(plan, id);
  const held = modelOf(model).ports[0].level === 'instrument' || modelOf(model).ports[0].level === 'microphone';
  return [
    ...(line.devices.some((d) => readingsAt(plan, d).unearthed) ? (['earth-removed'] as const) : []),
    ...(modelOf(model).ports[0].level === 'speaker' ? (['speaker-level'] as const) : []),
    ...(read.choice('bridged') === 'yes' ? (['bridged'] as const) : []),
    ...(model === 'valve-amp' ? (['valve'] as const) : []),
    ...(model === 'ribbon' ? (['ribbon'] as const) : []),
    ...(held ? (['tingle'] as const) : [])
  ];
}
