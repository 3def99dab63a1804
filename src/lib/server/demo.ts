import { sql } from 'drizzle-orm';
import { type Db, db } from './db';
import { ropeRoom, saltRoad } from './demo-shows';
import { demoKit } from './demo-kit';
import { demoNights } from './demo-memory';
import { crew, entry, kitItem, person, reading, show, trace, venue } from './schema';

/** Number of the advisory lock under which an empty database is filled; any fixed number of our own does. */
const FILL_LOCK = 7_402_411;

/** Fills an empty database with the demo crew and its shows. Safe when two servers start at once. */
export async function fillDemo(database: Db = db()): Promise<void> {
  await database.transaction(async (tx) => {
    await tx.execute(sql`select pg_advisory_xact_lock(${FILL_LOCK})`);
    const [known] = await tx.select({ id: crew.id }).from(crew).limit(1);
    if (known) return;
    const [made] = await tx.insert(crew).values({ name: 'Rope Works' }).returning();
    await tx.insert(person).values({ crewId: made.id, name: 'Engineer' });
    const now = Date.now();
    await tx
      .insert(kitItem)
      .values(
        Object.entries(demoKit()).map(([id, item], k) => ({ crewId: made.id, id, item, madeAt: new Date(now + k) }))
      );
    await tx.insert(show).values([
      { crewId: made.id, name: 'The Salt Road', plan: saltRoad(), changedAt: new Date(now) },
      { crewId: made.id, name: 'Rope Room', plan: ropeRoom(), changedAt: new Date(now - 60_000) }
    ]);
    for (const { readings, typed, traces, place, ...night } of demoNights(now)) {
      const of = { crewId: made.id };
      await tx.insert(venue).values({ ...of, ...place });
      const [{ id: showId }] = await tx
        .insert(show)
        .values({ ...of, ...night, venueId: place.id })
        .returning({ id: show.id });
      await tx.insert(reading).values(readings.map((r) => ({ ...of, ...r, showId })));
      await tx.insert(entry).values(typed.map((e) => ({ ...of, ...e, showId })));
      if (traces.length > 0)
        await tx.insert(trace).values(traces.map((t) => ({ ...of, ...t, id: t.record.id, showId })));
    }
  });
}
