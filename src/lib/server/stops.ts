import { and, desc, eq, isNull } from 'drizzle-orm';
import type { Clear, OpenStop, Stop } from '$lib/protocol/stops';
import type { Who } from './access';
import { db } from './db';
import { tellCrew } from './live';
import { madeByName } from './made-by';
import { person, stop } from './schema';
import { hasShow } from './shows';
import { happened } from './show-log/writer';

/** Stops of a show: called by anybody of the crew, told to all, cleared by a person with a name. */

/** More than these at once is one stop all the same. */
const MOST = 50;

/** Those that nobody has cleared yet, newest first. */
export async function openStops(crewId: string, showId: string): Promise<OpenStop[]> {
  const rows = await db()
    .select({
      id: stop.id,
      lineId: stop.lineId,
      madeAt: stop.madeAt,
      by: madeByName(stop.madeBy)
    })
    .from(stop)
    .leftJoin(person, eq(person.id, stop.personId))
    .where(and(eq(stop.crewId, crewId), eq(stop.showId, showId), isNull(stop.clearedAt)))
    .orderBy(desc(stop.madeAt))
    .limit(MOST);
  return rows.map(({ madeAt, ...row }) => ({ ...row, at: madeAt.getTime() }));
}

/** Calls a stop; sent twice it is there once. @returns false when there is no such show */
export async function callStop({ crewId, personId, name }: Who, showId: string, called: Stop): Promise<boolean> {
  if (!(await hasShow(crewId, showId))) return false;
  await db()
    .insert(stop)
    .values({ id: called.id, crewId, personId, madeBy: name, showId, lineId: called.lineId })
    .onConflictDoNothing();
  await tellCrew(crewId, { kind: 'stops', show: showId });
  happened(crewId, showId);
  return true;
}

/** Clears it, once: who came first is kept. @returns false when there is no such stop of this show */
export async function clearStop({ crewId }: Who, showId: string, id: string, { by, found }: Clear): Promise<boolean> {
  const its = and(eq(stop.crewId, crewId), eq(stop.showId, showId), eq(stop.id, id));
  const [there] = await db().select({ id: stop.id }).from(stop).where(its);
  if (!there) return false;
  await db()
    .update(stop)
    .set({ clearedAt: new Date(), clearedBy: by, found: found ?? null })
    .where(and(its, isNull(stop.clearedAt)));
  await tellCrew(crewId, { kind: 'stops', show: showId });
  happened(crewId, showId);
  return true;
}
