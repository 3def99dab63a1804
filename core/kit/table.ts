import { type Kit, type KitItem, unitOf } from './schema';

/** Kit as a table: what its cells hold, how it sorts and what a search finds. Names come from the words. */

export const shapeOf = (item: KitItem): { model: string; metres: string; plugs: string } =>
  item.kind === 'device'
    ? { model: item.model, metres: '', plugs: '' }
    : item.kind === 'lead'
      ? { model: item.cable, metres: String(item.metres), plugs: item.plugs.join('-') }
      : { model: '', metres: '', plugs: '' };

/** Whether two items are the same thing, so that one more of it is a greater count. */
const sameThing = (a: KitItem, b: KitItem): boolean => {
  if (unitOf(a) ?? unitOf(b)) return false;
  const { count: _a, ...x } = a;
  const { count: _b, ...y } = b;
  void _a;
  void _b;
  return JSON.stringify(Object.entries(x).sort()) === JSON.stringify(Object.entries(y).sort());
};

/** Adds items to a kit: more of the same raises its count. @param newId gives ids nobody has */
export function addItems(kit: Kit, items: readonly KitItem[], newId: () => string): Kit {
  const next: Record<string, KitItem> = { ...kit };
  for (const item of items) {
    const known = Object.entries(next).find(([, other]) => sameThing(other, item));
    if (known) next[known[0]] = { ...known[1], count: Math.min(known[1].count + item.count, 999) };
    else next[newId()] = item;
  }
  return next;
}
