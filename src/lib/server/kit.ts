import { livedOn, readLife } from '$core/kit/life';
import { type Kit, KIT_LIMITS, type KitItem, unitOf } from '$core/kit/schema';
import { labelTaken, unitsIn } from '$core/kit/units';
import { same } from '$core/plan/json';
import { and, desc, eq, inArray, isNull } from 'drizzle-orm';
import { withChanges } from '$lib/kit/changes';
import type { KitChange, KitEvent } from '$lib/protocol/kit';
import type { Who } from './access';
import { db } from './db';
import { tellCrew } from './live';
import { kitChange, kitItem, person, show } from './schema';
import { happened } from './show-log/writer';

/** Whether something may be the id of an item. */
export const isItemId = (id: string): boolean => /^[a-z0-9-]{1,40}$/.test(id);

/** What a crew owns, in the order it was written down. */
export async function crewKit(crewId: string): Promise<Kit> {
  const rows = await db().select().from(kitItem).where(eq(kitItem.crewId, crewId)).orderBy(kitItem.madeAt, kitItem.id);
  return Object.fromEntries(rows.map((row) => [row.id, row.item]));
}

/** Who changes it, and as whom. */
type By = Pick<Who, 'crewId' | 'personId' | 'name'>;

export type KitAnswer =
  | { ok: true }
  /** Another thing has that number already. */
  | { ok: false; taken: string }
  /** Somebody else has changed these in between: nothing was written. */
  | { ok: false; kit: Kit; ids: readonly string[] }
  | { ok: false; tooMany: number };

/** Takes changes of a kit in, all or none; each is kept in its item's history. */
export async function changeKit(who: By, changes: readonly KitChange[]): Promise<KitAnswer> {
  const shows = await ownShows(who.crewId, changes);
  const answer = await db().transaction(async (tx): Promise<KitAnswer> => {
    const rows = await tx.select().from(kitItem).where(eq(kitItem.crewId, who.crewId)).for('update');
    const kit = new Map<string, KitItem>(rows.map((row) => [row.id, row.item]));
    const stale = changes.filter(({ id, from }) => !same((kit.get(id) ?? null) as never, from as never));
    if (stale.length > 0) return { ok: false, kit: Object.fromEntries(kit), ids: stale.map((c) => c.id) };
    const grown =
      kit.size + changes.filter((c) => c.from === null).length - changes.filter((c) => c.to === null).length;
    if (grown > KIT_LIMITS.items) return { ok: false, tooMany: KIT_LIMITS.items };
    const after = withChanges(Object.fromEntries(kit), changes);
    const twice = changes.find(({ id, to }) => {
      const unit = to && unitOf(to);
      return unit && labelTaken(after, unit.label, id);
    });
    if (twice) return { ok: false, taken: unitOf(twice.to!)!.label };
    const now = new Date();
    for (const [k, { id, to }] of changes.entries()) {
      const mine = and(eq(kitItem.crewId, who.crewId), eq(kitItem.id, id));
      // A millisecond apart, so that a list keeps its order.
      const at = new Date(now.getTime() + k);
      if (to === null) await tx.delete(kitItem).where(mine);
      else
        await tx
          .insert(kitItem)
          .values({ crewId: who.crewId, id, item: to, madeAt: at })
          .onConflictDoUpdate({ target: [kitItem.crewId, kitItem.id], set: { item: to, changedAt: now } });
    }
    await tx.insert(kitChange).values(
      changes.map(({ id, from, to, said, show: at }) => ({
        ...{ crewId: who.crewId, itemId: id, personId: who.personId, madeBy: who.name },
        ...{ before: from, after: to, said: said ?? null, showId: at && shows.has(at) ? at : null }
      }))
    );
    return { ok: true };
  });
  if (answer.ok) {
    await tellCrew(who.crewId, { kind: 'kit' });
    for (const id of shows) happened(who.crewId, id);
  }
  return answer;
}

/** Shows of the crew at which these happened: a show that is gone, or another crew's, is not spoken of. */
async function ownShows(crewId: string, changes: readonly KitChange[]): Promise<ReadonlySet<string>> {
  const named = [...new Set(changes.flatMap((c) => c.show ?? []))];
  if (named.length === 0) return new Set();
  const rows = await db()
    .select({ id: show.id })
    .from(show)
    .where(and(eq(show.crewId, crewId), inArray(show.id, named)));
  return new Set(rows.map((r) => r.id));
}

/** What became of one item, newest first. */
export async function kitHistory(crewId: string, itemId: string, most = 200): Promise<KitEvent[]> {
  const rows = await db()
    .select({
      ...{ at: kitChange.madeAt, name: person.name, by: kitChange.madeBy },
      ...{ before: kitChange.before, after: kitChange.after, said: kitChange.said },
      ...{ showId: show.id, showName: show.name }
    })
    .from(kitChange)
    .leftJoin(person, eq(person.id, kitChange.personId))
    .leftJoin(show, and(eq(show.id, kitChange.showId), isNull(show.deletedAt)))
    .where(and(eq(kitChange.crewId, crewId), eq(kitChange.itemId, itemId)))
    .orderBy(desc(kitChange.id))
    .limit(most);
  return rows.map(({ at, name, by, before, after, said, showId, showName }) => ({
    ...{ at: at.toISOString(), by: by ?? name, before, after, said },
    show: showId && showName !== null ? { id: showId, name: showName } : null
  }));
}

/**
 * What was logged at a show of things with a number lands on them: `DI 3 crackles`.
 * Where somebody else changes the same at this moment, their change holds and the entry tells the rest.
 */
export async function hearOfUnits(who: By, showId: string, texts: readonly string[]): Promise<void> {
  if (texts.length === 0) return;
  let kit = await crewKit(who.crewId);
  const day = new Date().toISOString().slice(0, 10);
  for (const text of texts)
    for (const id of unitsIn(kit, text)) {
      const to = livedOn(kit[id], readLife(text), day);
      const answer = await changeKit(who, [{ id, from: kit[id], to, said: text, show: showId }]);
      // The next entry may be about the same one: it goes on from what this one made of it.
      if (answer.ok) kit = { ...kit, [id]: to };
    }
}
