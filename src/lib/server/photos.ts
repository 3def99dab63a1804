import { and, desc, eq } from 'drizzle-orm';
import type { PhotoOf } from '$lib/protocol/readings';
import { db } from './db';
import { tellCrew } from './live';
import { photo } from './schema';
import { hasShow } from './shows';

/** Pictures of lines. */

const MOST = 500;
export async function photosOf(crewId: string, showId: string): Promise<PhotoOf[]> {
  const rows = await db()
    .select({ id: photo.id, lineId: photo.lineId, at: photo.madeAt })
    .from(photo)
    .where(and(eq(photo.crewId, crewId), eq(photo.showId, showId)))
    .orderBy(desc(photo.madeAt))
    .limit(MOST);
  return rows.map((row) => ({ ...row, at: row.at.toISOString() }));
}

export async function photoOf(crewId: string, showId: string, id: string) {
  const [row] = await db()
    .select({ type: photo.type, bytes: photo.bytes })
    .from(photo)
    .where(and(eq(photo.crewId, crewId), eq(photo.showId, showId), eq(photo.id, id)));
  return row;
}

/** Takes a picture in; one that is there already is left as it is. @returns false when there is no such show */
export async function takePhoto(
  who: { crewId: string; personId: string },
  showId: string,
  made: { id: string; lineId: string; type: string; bytes: Buffer }
): Promise<boolean> {
  if (!(await hasShow(who.crewId, showId))) return false;
  await db()
    .insert(photo)
    .values({ ...who, showId, ...made })
    .onConflictDoNothing();
  await tellCrew(who.crewId, { kind: 'readings', show: showId });
  return true;
}
