import { modelOf } from '../gear/catalogue';
import type { KitItem } from './schema';

/** Whether a thing has a battery inside. */
export function runsOnBattery(item: KitItem): boolean {
  if (item.kind !== 'device') return false;
  const { options, feeds, params } = modelOf(item.model);
  return (options.power?.choices.includes('battery') ?? false) || feeds.includes('battery') || 'battery' in params;
}
