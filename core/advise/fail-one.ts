import { leadKey } from './stock';
import type { Cable, Device } from '../plan/schema';
import { cutText } from '../text/well-formed';
import { KIT_LIMITS, type Kit, type KitItem, type Unit, unitOf } from '../kit/schema';
import { inCondition } from '../kit/units';

/** A cable of the plan may be written this much longer than the one that is used, metres. */
const SLACK = 0.05;

/**
 * Working things of a kit that may be what a plan uses there, by id: the shortest lead that reaches first, for that is the one that was taken.
 * @param what the device or cable of a plan
 */
export const fitting = (kit: Kit, what: Device | Cable): readonly (readonly [string, KitItem])[] =>
  Object.entries(kit)
    .filter(([, item]) => item.condition === 'works' && isThat(item, what))
    .sort(([, a], [, b]) => (a.kind === 'lead' && b.kind === 'lead' ? a.metres - b.metres : 0));

/** Of those the ones that have a number. */
export const fittingUnits = (kit: Kit, what: Device | Cable): readonly { id: string; item: KitItem; unit: Unit }[] =>
  fitting(kit, what).flatMap(([id, item]) => {
    const unit = unitOf(item);
    return unit ? [{ id, item, unit }] : [];
  });

/**
 * One thing of a kit is faulty: it goes to repair, the others of its row stay.
 * @param what the device or cable of a plan that it was used as
 * @param note where and when it failed
 * @param newId an id nobody has, for the one that is now told apart
 * @param which the item that it was; where that is not known it is one without a number, for a number would be a guess
 * @returns the kit and the item that is in repair now; null where the kit has none that works
 */
export function failOne(
  kit: Kit,
  what: Device | Cable,
  note: string,
  newId: () => string,
  which?: string
): { kit: Kit; id: string } | null {
  const found = fitting(kit, what).find(([id, item]) => (which === undefined ? !unitOf(item) : id === which));
  if (!found) return null;
  const [id, item] = found;
  const words = [note, item.note].filter((t) => t !== '').join('. ');
  const broken: KitItem = { ...inCondition(item, 'repair'), count: 1, note: cutText(words, KIT_LIMITS.note) };
  if (item.count === 1) return { kit: { ...kit, [id]: broken }, id };
  const apart = newId();
  return { kit: { ...kit, [id]: { ...item, count: item.count - 1 }, [apart]: broken }, id: apart };
}

function isThat(item: KitItem, what: Device | Cable): boolean {
  if ('model' in what) return item.kind === 'device' && item.model === what.model;
  return (
    item.kind === 'lead' &&
    leadKey(item.cable, item.plugs) === leadKey(what.kind, what.plugs) &&
    item.metres >= what.metres - SLACK
  );
}
