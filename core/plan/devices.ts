import { modelOf, DeviceSettings, hasTrait } from '../gear/catalogue';
import type { Plan } from './schema';

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
