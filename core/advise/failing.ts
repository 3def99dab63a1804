import type { Kit } from '../kit/schema';
import type { Plan } from '../plan/schema';
import { type Part, partOfItem, usedOf } from './stock';

/** A unit fails on the night: what is left is planned with, and whoever loses least goes without. */

/** The kit with one working unit of a thing less; the same kit where there is none. */
export function withoutOne(kit: Kit, { what, metres }: Part): Kit {
  const found = Object.entries(kit).find(([, item]) => {
    const part = partOfItem(item);
    return item.condition === 'works' && item.count > 0 && part.what === what && part.metres === metres;
  });
  if (!found) return kit;
  const [id, item] = found;
  const { [id]: _, ...rest } = kit;
  return item.count === 1 ? rest : { ...kit, [id]: { ...item, count: item.count - 1 } };
}

/** What of a kit the lines of a plan take, one of each thing: what could fail. */
export const inUse = (plan: Plan, kit: Kit): Part[] =>
  usedOf(plan, kit)
    .list.filter(({ used, have }) => used > 0 && have > 0)
    .map(({ part }) => part);
