import { and, desc, eq } from 'drizzle-orm';
import type { PhotoOf } from '$lib/protocol/readings';
import { db } from './db';
import { tellCrew } from './live';
import { photo } from './schema';
import { hasShow } from './shows';

/** Pictures of lines. */

const MOST = 500;
/** What a picture begins with, by its type: what it says it is, it has to be. */
const BEGINS: Readonly<Record<string, (bytes: Buffer) => boolean>> = {
  'image/jpeg': (b) => b[0] === 0xff && b[1] === 0xd8 && b[2] === 0xff,
  'image/png': (b) => b.subarray(0, 8).equals(Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a])),
  'image/webp': (b) => b.toString('latin1', 0, 4) === 'RIFF' && b.toString('latin1', 8, 12) === 'WEBP'
};
export const isPicture = (type: string, bytes: Buffer): boolean => Object.hasOwn(BEGINS, type) && BEGINS[type](bytes);

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
