import { sql } from 'drizzle-orm';
import { type Db, db } from './db';
import { ropeRoom, saltRoad } from './demo-shows';
import { demoKit } from './demo-kit';
import { demoNights } from './demo-memory';
import { demoLife, demoPlayers, playedBy } from './demo-players';
import { crew, entry, instrument, kitChange, kitItem, person, player, reading, show, trace, venue } from './schema';

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
    const { players, instruments } = demoPlayers();
    const of = { crewId: made.id };
    await tx.insert(player).values(players.map((p) => ({ ...of, ...p })));
    await tx.insert(instrument).values(instruments.map((i) => ({ ...of, ...i })));
    await tx.insert(show).values([
      { crewId: made.id, name: 'The Salt Road', plan: playedBy(saltRoad(), instruments), changedAt: new Date(now) },
      { crewId: made.id, name: 'Rope Room', plan: ropeRoom(), changedAt: new Date(now - 60_000) }
    ]);
    const nights: string[] = [];
    for (const { readings, typed, traces, place, plan, ...night } of demoNights(now)) {
      await tx.insert(venue).values({ ...of, ...place });
      const [{ id: showId }] = await tx
        .insert(show)
        .values({ ...of, ...night, plan: playedBy(plan, instruments), venueId: place.id })
        .returning({ id: show.id });
      nights.push(showId);
      await tx.insert(reading).values(readings.map((r) => ({ ...of, ...r, showId })));
      await tx.insert(entry).values(typed.map((e) => ({ ...of, ...e, showId })));
      if (traces.length > 0)
        await tx.insert(trace).values(traces.map((t) => ({ ...of, ...t, id: t.record.id, showId })));
    }
    await tx.insert(kitChange).values(demoLife(demoKit(), now, nights).map((change) => ({ ...of, ...change })));
  });
}
