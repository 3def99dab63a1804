import { leadKey } from './stock';
import type { Cable, Device } from '../plan/schema';
import { cutText } from '../text/well-formed';
import { KIT_LIMITS, type Kit, type KitItem } from '../kit/schema';

/** A cable of the plan may be written this much longer than the one that is used, metres. */
const SLACK = 0.05;

/**
 * One unit of a kit is faulty: it goes to repair, the others of its row stay.
 * @param what the device or cable of a plan that it was used as
 * @param note where and when it failed
 * @param newId an id nobody has, for the unit that is now told apart
 * @returns null where the kit has none that works
 */
export function failOne(kit: Kit, what: Device | Cable, note: string, newId: () => string): Kit | null {
  const fits = Object.entries(kit).filter(([, item]) => item.condition === 'works' && isThat(item, what));
  // The shortest lead that reaches is the one that was taken.
  const [found] = fits.sort(([, a], [, b]) => (a.kind === 'lead' && b.kind === 'lead' ? a.metres - b.metres : 0));
  if (!found) return null;
  const [id, item] = found;
  const words = [note, item.note].filter((t) => t !== '').join('. ');
  const broken: KitItem = { ...item, count: 1, condition: 'repair', note: cutText(words, KIT_LIMITS.note) };
  if (item.count === 1) return { ...kit, [id]: broken };
  return { ...kit, [id]: { ...item, count: item.count - 1 }, [newId()]: broken };
}

function isThat(item: KitItem, what: Device | Cable): boolean {
  if ('model' in what) return item.kind === 'device' && item.model === what.model;
  return (
    item.kind === 'lead' &&
    leadKey(item.cable, item.plugs) === leadKey(what.kind, what.plugs) &&
    item.metres >= what.metres - SLACK
  );
}
