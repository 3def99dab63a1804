import { type PictureAsk, PICTURES_TOLD, type PictureThere } from '$lib/protocol/pictures';
import type { LiveEvent } from '$lib/protocol/live';
import { and, count, desc, eq } from 'drizzle-orm';
import { db } from './db';
import { tellCrew } from './live';
import { picture } from './schema';

/** Pictures of what a crew knows: places, instruments, things with a number. */

/** Of one thing, so many. */
const MOST = 40;

const about = (crewId: string, { of, id }: PictureAsk) =>
  and(eq(picture.crewId, crewId), eq(picture.of, of), eq(picture.ofId, id));

/** Newest first. */
export async function picturesOf(crewId: string, ask: PictureAsk): Promise<PictureThere[]> {
  const rows = await db()
    .select({ id: picture.id, at: picture.madeAt })
    .from(picture)
    .where(about(crewId, ask))
    .orderBy(desc(picture.madeAt));
  return rows.map((row) => ({ ...row, at: row.at.toISOString() }));
}

export async function pictureOf(crewId: string, id: string) {
  const [row] = await db()
    .select({ type: picture.type, bytes: picture.bytes })
    .from(picture)
    .where(and(eq(picture.crewId, crewId), eq(picture.id, id)));
  return row;
}

/** Takes a picture in; sent twice it is there once. @returns how many one thing may have, where it has them */
export async function takePicture(
  who: { crewId: string; personId: string },
  ask: PictureAsk,
  made: { id: string; type: string; bytes: Buffer }
): Promise<{ readonly tooMany: number } | null> {
  const [{ n }] = await db().select({ n: count() }).from(picture).where(about(who.crewId, ask));
  if (n >= MOST) return { tooMany: MOST };
  await db()
    .insert(picture)
    .values({ ...who, ...made, of: ask.of, ofId: ask.id })
    .onConflictDoNothing();
  await tellCrew(who.crewId, { kind: PICTURES_TOLD[ask.of] } as LiveEvent);
  return null;
}

/** Takes a picture out. @returns false where there is no such picture */
export async function dropPicture(crewId: string, id: string): Promise<boolean> {
  const [row] = await db()
    .delete(picture)
    .where(and(eq(picture.crewId, crewId), eq(picture.id, id)))
    .returning({ of: picture.of });
  if (row) await tellCrew(crewId, { kind: PICTURES_TOLD[row.of] } as LiveEvent);
  return row !== undefined;
}
