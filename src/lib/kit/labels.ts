import type { KitItem } from '$core/kit/schema';
import { formatQuantity } from '$core/units/format';
import { kitItemName } from '$core/words/routes';

/** Length of a lead with its unit; nothing for what has none. */
export const lengthOf = (item: KitItem): string => (item.kind === 'lead' ? formatQuantity('length', item.metres) : '');

/** What a thing in the kit is called, with its length. */
export const labelOf = (item: KitItem): string => `${lengthOf(item)} ${kitItemName(item)}`.trim();
