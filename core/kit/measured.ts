import type { KitItem } from './schema';
import { unitOf } from './schema';

/** What was measured of a thing with a number: kept with it, by the names that a plan gives the values. */

/**
 * The thing with what was measured of it; what was measured before and not now stays.
 * @param values by the names of its model's, or a cable's, in SI units
 * @param day the day it was measured, `2026-12-02`
 * @returns the thing as it is where it has no number
 */
export function measuredOn(item: KitItem, values: Readonly<Record<string, number>>, day: string): KitItem {
  const unit = unitOf(item);
  if (!unit || item.kind === 'battery' || Object.keys(values).length === 0) return item;
  return { ...item, unit: { ...unit, measured: { at: day, values: { ...unit.measured?.values, ...values } } } };
}
