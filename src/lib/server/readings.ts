import type { Reading } from '$core/linecheck/reading';
import { randomUUID } from 'node:crypto';
import { mergeReadings } from '$core/linecheck/merge';
import { and, desc, eq, gt, sql } from 'drizzle-orm';
import { leftAs } from '$core/linecheck/outcome';
import type { Checked, ReadingBy } from '$lib/protocol/readings';
import { db } from './db';
import { tellCrew } from './live';
import { madeByName } from './made-by';
import type { Who } from './access';
import { person, reading } from './schema';
import { hasShow } from './shows';
import { happened } from './show-log/writer';

/** Readings of a show's lines. */

/** The newest come first; older ones than these are in the log. */
const MOST = 1000;

export async function readingsOf(crewId: string, showId: string): Promise<ReadingBy[]> {
  const rows = await db()
    .select({ reading: reading.reading, by: madeByName(reading.madeBy) })
    .from(reading)
    .leftJoin(person, eq(person.id, reading.personId))
    .where(and(eq(reading.crewId, crewId), eq(reading.showId, showId)))
    .orderBy(desc(reading.madeAt))
    .limit(MOST);
  return rows.map((row) => ({ ...row.reading, by: row.by }));
}

/** A line that was finished with in the check this long ago is still up. */
const UP = sql`interval '12 hours'`;

/** Lines of a show that are up, by the clock of the database: what a phone says the time is does not matter. */
export async function linesUp(crewId: string, showId: string): Promise<string[]> {
  const rows = await db()
    .select({ reading: reading.reading })
    .from(reading)
    .where(and(eq(reading.crewId, crewId), eq(reading.showId, showId), gt(reading.madeAt, sql`now() - ${UP}`)));
  return [
    ...new Set(rows.flatMap(({ reading: r }) => (r.done && !r.practice && r.last === undefined ? [r.lineId] : [])))
  ];
}

/** How the lines of a show were left, read and noted; of lines that nobody has read here, how they were last time. What was read in practice is not of it. */
export async function checkedOf(crewId: string, showId: string): Promise<Checked[]> {
  const lines = new Map<string, ReadingBy[]>();
  for (const r of await readingsOf(crewId, showId))
    if (!r.practice) lines.set(r.lineId, [...(lines.get(r.lineId) ?? []), r]);
  return [...lines.values()].flatMap((all) => {
    const here = all.filter((r) => r.last === undefined);
    const merged = mergeReadings(here.length > 0 ? here : all);
    if (!merged) return [];
    const { said: _, ...rest } = merged;
    return [{ ...rest, left: leftAs(merged), last: here.length > 0 ? null : all[0].last! }];
  });
}

/** How the lines of a show were goes along to its copy: one reading a line, told to be of last time. */
export async function copyReadings(
  { crewId, personId, name }: Who,
  from: string,
  to: string,
  show: string
): Promise<void> {
  const rows = (await checkedOf(crewId, from)).map(({ left: _, by: __, last, ...told }) => {
    const id = randomUUID();
    return { crewId, personId, madeBy: name, id, showId: to, reading: { ...told, id, last: last ?? show } };
  });
  if (rows.length > 0) await db().insert(reading).values(rows);
}

/** Takes readings in; one that is there already is left as it is. @returns false when there is no such show */
export async function takeReadings(
  { crewId, personId, name }: Who,
  showId: string,
  readings: readonly Reading[]
): Promise<boolean> {
  if (!(await hasShow(crewId, showId))) return false;
  await db()
    .insert(reading)
    .values(readings.map((r) => ({ crewId, personId, madeBy: name, id: r.id, showId, reading: r })))
    .onConflictDoNothing();
  await tellCrew(crewId, { kind: 'readings', show: showId });
  happened(crewId, showId);
  return true;
}
