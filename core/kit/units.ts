import { asPattern, nameKey } from '../text/names';
import { cutText } from '../text/well-formed';
import { type Condition, type Kit, KIT_LIMITS, type KitItem, type Unit, unitOf } from './schema';

/** Things of a kit that have a number of their own: how they get one, how they are found by it, what their failures say. */

/** Failed so often, a thing is spoken of before it is packed. */
export const OFTEN = 2;
export const failsOften = (item: KitItem): boolean => (unitOf(item)?.failed ?? 0) >= OFTEN;

const freshUnit = (label: string): Unit => ({ label, serial: '', failed: 0, battery: null });

/** Labels as they are compared: `DI 3`, `di-3` and `Di3` are one. */
export const labelKey = (label: string): string => nameKey(label).replaceAll(' ', '');

/** Whether something else of the kit is called that already. @param but the item it is for */
export const labelTaken = (kit: Kit, label: string, but: string | null): boolean =>
  Object.entries(kit).some(([id, item]) => id !== but && labelKey(unitOf(item)?.label ?? '') === labelKey(label));

/** Things that may come into a kit, and the labels of those that may not, because something is called that already. */
export function freeOf(kit: Kit, items: readonly KitItem[]): { items: KitItem[]; taken: string[] } {
  const keys = new Set(Object.values(kit).map((item) => labelKey(unitOf(item)?.label ?? '')));
  const [free, taken]: [KitItem[], string[]] = [[], []];
  for (const item of items) {
    const label = unitOf(item)?.label;
    if (label !== undefined && keys.has(labelKey(label))) {
      taken.push(label);
      continue;
    }
    if (label !== undefined) keys.add(labelKey(label));
    free.push(item);
  }
  return { items: free, taken };
}

/**
 * Gives every thing of a row a number of its own, going on from the highest that stands under the same word.
 * @param word what stands before the numbers: `DI`; empty for numbers alone
 * @param newId an id nobody has
 * @returns null where there is nothing to number: batteries, or what has a number
 */
export function numbered(kit: Kit, id: string, word: string, newId: () => string): Kit | null {
  const item = kit[id];
  if (!item || item.kind === 'battery' || item.unit) return null;
  const next: Record<string, KitItem> = { ...kit };
  let last = highest(kit, word);
  for (let k = 0; k < item.count; k++) {
    const label = cutText(`${word} ${++last}`.trim(), KIT_LIMITS.label);
    next[k === 0 ? id : newId()] = { ...item, count: 1, unit: freshUnit(label) };
  }
  return Object.keys(next).length > KIT_LIMITS.items ? null : next;
}

function highest(kit: Kit, word: string): number {
  const of = new RegExp(`^${asPattern(labelKey(word))}(\\d{1,6})$`);
  return Math.max(0, ...Object.values(kit).map((i) => Number(of.exec(labelKey(unitOf(i)?.label ?? ''))?.[1] ?? 0)));
}

/** The item in another condition; one that worked until now has failed once more. */
export function inCondition(item: KitItem, condition: Condition): KitItem {
  const { condition: was } = item;
  const unit = unitOf(item);
  if (!unit || was !== 'works' || condition === 'works' || item.kind === 'battery') return { ...item, condition };
  return { ...item, condition, unit: { ...unit, failed: Math.min(unit.failed + 1, KIT_LIMITS.count) } };
}

/** Words that lead to a bare number: `unit 12`, `no. 12`, `#12`. */
const LEADS_TO = '(?:unit|box|di|lead|cable|adapter|number|no|nr)\\.?\\s*#?\\s*|#\\s*';

/**
 * Things of a kit that a text names by their labels, in the order of the kit: `unit 12 crackles`, `DI 3 is dead`.
 * @returns their ids
 */
export function unitsIn(kit: Kit, text: string): string[] {
  const byLabel = Object.entries(kit).flatMap(([id, item]) => {
    const label = unitOf(item)?.label;
    if (label === undefined) return [];
    const parts = label.match(/\p{L}+|\p{N}+/gu) ?? [];
    if (parts.length === 0) return [];
    const own = parts.map(asPattern).join('[\\s#.-]*');
    // A bare number is met everywhere, and says nothing without a word before it.
    const bare = parts.length === 1 && /^\p{N}+$/u.test(parts[0]);
    const before = bare ? `(?:${LEADS_TO})` : '';
    return new RegExp(`(?<![\\p{L}\\d])${before}${own}(?![\\p{L}\\d])`, 'iu').test(text) ? [id] : [];
  });
  if (byLabel.length > 0) return byLabel;
  // `unit 12` is `DI 12` where nothing else has that number.
  const number = /\bunit\s*#?\s*(\d+)\b/iu.exec(text)?.[1];
  const so = number ? Object.keys(kit).filter((id) => /\d+$/.exec(unitOf(kit[id])?.label ?? '')?.[0] === number) : [];
  return so.length === 1 ? so : [];
}
