import { type Kit, KIT_LIMITS, type KitItem } from '$core/kit/schema';
import { same } from '$core/plan/json';
import { and, desc, eq } from 'drizzle-orm';
import type { KitChange } from '$lib/protocol/kit';
import { db } from './db';
import { tellCrew } from './live';
import { kitChange, kitItem, person } from './schema';

/** What a crew owns, in the order it was written down. */
export async function crewKit(crewId: string): Promise<Kit> {
  const rows = await db().select().from(kitItem).where(eq(kitItem.crewId, crewId)).orderBy(kitItem.madeAt, kitItem.id);
  return Object.fromEntries(rows.map((row) => [row.id, row.item]));
}

export type KitAnswer =
  | { ok: true }
  /** Somebody else has changed these in between: nothing was written. */
  | { ok: false; kit: Kit; ids: readonly string[] }
  | { ok: false; tooMany: number };

/** Takes changes of a kit in, all or none; each is kept in its item's history. */
export async function changeKit(
  who: { crewId: string; personId: string },
  changes: readonly KitChange[]
): Promise<KitAnswer> {
  const answer = await db().transaction(async (tx): Promise<KitAnswer> => {
    const rows = await tx.select().from(kitItem).where(eq(kitItem.crewId, who.crewId)).for('update');
    const kit = new Map<string, KitItem>(rows.map((row) => [row.id, row.item]));
    const stale = changes.filter(({ id, from }) => !same((kit.get(id) ?? null) as never, from as never));
    if (stale.length > 0) return { ok: false, kit: Object.fromEntries(kit), ids: stale.map((c) => c.id) };
    const grown =
      kit.size + changes.filter((c) => c.from === null).length - changes.filter((c) => c.to === null).length;
    if (grown > KIT_LIMITS.items) return { ok: false, tooMany: KIT_LIMITS.items };
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
      changes.map(({ id, from, to }) => ({
        crewId: who.crewId,
        itemId: id,
        personId: who.personId,
        before: from,
        after: to
      }))
    );
    return { ok: true };
  });
  if (answer.ok) await tellCrew(who.crewId, { kind: 'kit' });
  return answer;
}

export interface KitEvent {
  readonly at: string;
  readonly by: string | null;
  readonly before: KitItem | null;
  readonly after: KitItem | null;
}

/** What became of one item, newest first. */
export async function kitHistory(crewId: string, itemId: string, most = 50): Promise<KitEvent[]> {
  const rows = await db()
    .select({ at: kitChange.madeAt, by: person.name, before: kitChange.before, after: kitChange.after })
    .from(kitChange)
    .leftJoin(person, eq(person.id, kitChange.personId))
    .where(and(eq(kitChange.crewId, crewId), eq(kitChange.itemId, itemId)))
    .orderBy(desc(kitChange.id))
    .limit(most);
  return rows.map((row) => ({ ...row, at: row.at.toISOString() }));
}
