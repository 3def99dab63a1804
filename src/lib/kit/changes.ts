import { uuid } from '$lib/uuid';
import { addItems } from '$core/kit/table';
import type { Kit, KitItem } from '$core/kit/schema';
import type { KitChange } from '$lib/protocol/kit';

/** Changes of a kit as steps that can be taken back. */

/** An id nobody has: time and chance. */
export const freshId = (): string => `k${Date.now().toString(36)}${uuid().slice(0, 6)}`;

/** The steps from one kit to another. */
export function changesTo(before: Kit, after: Kit): KitChange[] {
  const ids = new Set([...Object.keys(before), ...Object.keys(after)]);
  return [...ids].flatMap((id) => {
    const from = before[id] ?? null;
    const to = after[id] ?? null;
    return from === to || JSON.stringify(from) === JSON.stringify(to) ? [] : [{ id, from, to }];
  });
}

export const withChanges = (kit: Kit, changes: readonly KitChange[]): Kit => {
  const next: Record<string, KitItem> = { ...kit };
  for (const { id, to } of changes) {
    if (to === null) delete next[id];
    else next[id] = to;
  }
  return next;
};

/** What was said of them is not said again. */
export const backwards = (changes: readonly KitChange[]): KitChange[] =>
  changes.map(({ id, from, to, show }) => ({ id, from: to, to: from, ...(show ? { show } : {}) })).reverse();

export const adding = (kit: Kit, items: readonly KitItem[]): KitChange[] =>
  changesTo(kit, addItems(kit, items, freshId));
