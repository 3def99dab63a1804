import { kitFor } from '$core/advise/stock';
import { and, desc, eq } from 'drizzle-orm';
import type { Printed } from '$lib/protocol/shows';
import { db } from './db';
import { crewKit } from './kit';
import { tellCrew } from './live';
import { print, show, tick } from './schema';
import { getShow } from './shows';
import { happened } from './show-log/writer';

/** What was printed of a show, and what has been ticked off its lists. */

interface Who {
  readonly crewId: string;
  readonly personId: string;
}
/** Keeps a show as it is now, as what was printed. @returns undefined when there is no such show */
export async function keepPrint(who: Who, showId: string): Promise<{ id: string; revision: number } | undefined> {
  const row = await getShow(who.crewId, showId);
  if (!row) return undefined;
  const kit = kitFor(row.plan, await crewKit(who.crewId));
  const [made] = await db()
    .insert(print)
    .values({ ...who, showId, revision: row.revision, plan: row.plan, kit })
    .returning({ id: print.id });
  await tellCrew(who.crewId, { kind: 'prints', show: showId });
  happened(who.crewId, showId);
  return { id: made.id, revision: row.revision };
}

/** The newest print of a show. */
export async function lastPrint(crewId: string, showId: string): Promise<Printed | null> {
  const [row] = await db()
    .select()
    .from(print)
    .where(and(eq(print.crewId, crewId), eq(print.showId, showId)))
    .orderBy(desc(print.madeAt))
    .limit(1);
  return (
    (row && {
      id: row.id,
      revision: row.revision,
      at: row.madeAt.toISOString(),
      plan: row.plan,
      kit: row.kit ?? null
    }) ??
    null
  );
}

/** Keys that are ticked off, of all lists of a show. */
export async function ticksOf(crewId: string, showId: string): Promise<string[]> {
  const rows = await db()
    .select({ key: tick.key })
    .from(tick)
    .where(and(eq(tick.crewId, crewId), eq(tick.showId, showId)));
  return rows.map((r) => r.key);
}

/** Ticks a row off, or takes the tick back. @returns false when there is no such show */
export async function setTick(who: Who, showId: string, key: string, on: boolean): Promise<boolean> {
  const [mine] = await db()
    .select({ id: show.id })
    .from(show)
    .where(and(eq(show.crewId, who.crewId), eq(show.id, showId)));
  if (!mine) return false;
  if (on)
    await db()
      .insert(tick)
      .values({ ...who, showId, key })
      .onConflictDoNothing();
  else
    await db()
      .delete(tick)
      .where(and(eq(tick.crewId, who.crewId), eq(tick.showId, showId), eq(tick.key, key)));
  await tellCrew(who.crewId, { kind: 'ticks', show: showId });
  return true;
}
