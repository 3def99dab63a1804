import type { Reading } from '$core/check/reading';
import { and, desc, eq } from 'drizzle-orm';
import type { Read } from '../show/read';
import { db } from './db';
import { tellShow } from './live';
import { person, reading } from './schema';
import { getShow } from './shows';

/** Readings of a show's lines. */

/** The newest come first; older ones than these are in the log. */
const MOST = 1000;

export async function readingsOf(crewId: string, showId: string): Promise<Read[]> {
  const rows = await db()
    .select({ reading: reading.reading, by: person.name })
    .from(reading)
    .leftJoin(person, eq(person.id, reading.personId))
    .where(and(eq(reading.crewId, crewId), eq(reading.showId, showId)))
    .orderBy(desc(reading.madeAt))
    .limit(MOST);
  return rows.map((row) => ({ ...row.reading, by: row.by }));
}

/** Takes readings in; one that is there already is left as it is. @returns false when there is no such show */
export async function takeReadings(
  who: { crewId: string; personId: string },
  showId: string,
  readings: readonly Reading[]
): Promise<boolean> {
  if (!(await getShow(who.crewId, showId))) return false;
  await db()
    .insert(reading)
    .values(readings.map((r) => ({ ...who, id: r.id, showId, reading: r })))
    .onConflictDoNothing();
  await tellShow(showId);
  return true;
}
