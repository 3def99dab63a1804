import { hearOf } from '$core/venue/sockets';
import { type Venue } from '$core/venue/schema';
import type { Places, VenueOf } from '$lib/protocol/venues';
import { and, asc, desc, eq, isNull, or, sql, type SQLWrapper } from 'drizzle-orm';
import { db } from './db';
import { putDocument, type PutAnswer } from './documents';
import { tellCrew } from './live';
import { show, venue } from './schema';

/** Places of a crew. */

const MOST = 1000;
/** A show is played there, tonight or on its other night. */
const playsAt = (id: string | SQLWrapper) => or(eq(show.venueId, id as string), eq(show.otherVenueId, id as string));

/** All places, by name, with how many shows were there. */
export async function venuesOf(crewId: string): Promise<VenueOf[]> {
  const rows = await db()
    .select({ id: venue.id, venue: venue.venue, shows: sql<number>`count(${show.id})::int` })
    .from(venue)
    .leftJoin(show, and(playsAt(venue.id), isNull(show.deletedAt)))
    .where(eq(venue.crewId, crewId))
    .groupBy(venue.id)
    .orderBy(asc(sql`lower(${venue.venue} ->> 'name')`))
    .limit(MOST);
  return rows;
}

export async function venueOf(crewId: string, id: string) {
  const [row] = await db()
    .select()
    .from(venue)
    .where(and(eq(venue.crewId, crewId), eq(venue.id, id)));
  return row;
}

/** Shows that were played there, newest first. */
export const showsAt = (crewId: string, id: string): Promise<{ id: string; name: string; changedAt: Date }[]> =>
  db()
    .select({ id: show.id, name: show.name, changedAt: show.changedAt })
    .from(show)
    .where(and(eq(show.crewId, crewId), playsAt(id), isNull(show.deletedAt)))
    .orderBy(desc(show.changedAt));

/** The place where a show is played tonight; null where nobody has said. */
async function venueOfShow(crewId: string, showId: string): Promise<{ id: string; venue: Venue } | null> {
  const [row] = await db()
    .select({ id: venue.id, venue: venue.venue })
    .from(show)
    .innerJoin(venue, eq(venue.id, show.venueId))
    .where(and(eq(show.crewId, crewId), eq(show.id, showId)));
  return row ?? null;
}

/** Where a show is played, and which places there are; null where there is no such show. */
export async function placesFor(crewId: string, showId: string): Promise<Places | null> {
  const [[at], venues] = await Promise.all([
    db()
      .select({ here: show.venueId, other: show.otherVenueId })
      .from(show)
      .where(and(eq(show.crewId, crewId), eq(show.id, showId), isNull(show.deletedAt))),
    venuesOf(crewId)
  ]);
  return at ? { ...at, venues } : null;
}

/** Writes a place down, or changes it; see `putDocument`. */
export const putVenue = (crewId: string, id: string, from: Venue | null, to: Venue): Promise<PutAnswer<Venue>> =>
  putDocument('venue', crewId, id, from, to);

/** Says where a show is played: tonight, and on its other night. @returns false where there is no such show or place */
export async function playAt(
  crewId: string,
  showId: string,
  { venue: venueId, other = null }: { readonly venue: string | null; readonly other?: string | null }
): Promise<boolean> {
  for (const id of [venueId, other]) if (id !== null && !(await venueOf(crewId, id))) return false;
  const rows = await db()
    .update(show)
    .set({ venueId, otherVenueId: other })
    .where(and(eq(show.crewId, crewId), eq(show.id, showId), isNull(show.deletedAt)))
    .returning({ id: show.id });
  if (rows.length > 0) await tellCrew(crewId, { kind: 'venues' });
  return rows.length > 0;
}

/** What was logged at a show of a socket stays with the place: the next crew hears of it. */
export async function hearAt(crewId: string, showId: string, texts: readonly string[]): Promise<void> {
  const here = await venueOfShow(crewId, showId);
  if (!here) return;
  const now = texts.reduce<Venue>((at, text) => hearOf(at, text) ?? at, here.venue);
  if (now !== here.venue) await putVenue(crewId, here.id, here.venue, now);
}
