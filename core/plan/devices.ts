import { modelOf, DeviceSettings, hasTrait } from '../gear/catalogue';
import type { Model } from '../gear/types';
import type { Plan } from './schema';

/** The model of a device of a plan. */
export const modelAt = (plan: Plan, id: string): Model => modelOf(plan.devices[id].model);

/**
 * Values and switch positions of a device as it stands in a plan.
 * @param through the cable that is plugged into it: a combo socket reads differently with a jack than with an XLR
 */
export function settingsAt(plan: Plan, id: string, through?: string): DeviceSettings {
  const { model, settings } = plan.devices[id];
  const plug = through === undefined ? 'xlr' : plan.cables[through].plugs[1];
  return new DeviceSettings(modelOf(model), settings, plug === 'xlr' ? 'xlr' : 'jack');
}

/** Whether a device plays programme whose loudness can be given. */
export const playsProgramme = (plan: Plan, device: string): boolean =>
  hasTrait(plan.devices[device].model, 'plays-programme');

/**
 * Where a device that needs the mains is plugged in when nobody has said so: beside what it belongs to, or at the first supply there is.
 * The one rule for whoever writes a device into a plan (changed in place).
 * @param beside a supply that what it belongs to is plugged in at
 */
export function plugIn(draft: Plan, id: string, beside?: string): void {
  const device = draft.devices[id];
  const needs = modelAt(draft, id).feeds[0].startsWith('mains') && device.host === undefined;
  const supply = beside ?? Object.keys(draft.supplies)[0];
  if (needs && device.supply === undefined && supply !== undefined) device.supply = supply;
}
