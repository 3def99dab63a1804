import { type Condition, type KitItem, unitOf } from '$core/kit/schema';
import { kindOf } from '$core/words/kit-life';

/** What a thing in the kit is called: its number, its length, its class. */
export const labelOf = (item: KitItem): string => [unitOf(item)?.label, kindOf(item)].filter(Boolean).join(' ');

/** How a condition stands out. */
export const CONDITION_MARK: Readonly<Record<Condition, string>> = {
  works: '',
  suspect: 'text-warning font-semibold',
  repair: 'text-error font-semibold'
};
