import { randomUUID } from 'node:crypto';
import { and, desc, eq } from 'drizzle-orm';
import type { TraceRecord } from '$lib/protocol/trace-record';
import type { Who } from './access';
import { db } from './db';
import { tellCrew } from './live';
import { madeByName } from './made-by';
import { person, trace } from './schema';
import { hasShow } from './shows';
import { happened } from './show-log/writer';

/** What was found behind noises, newest first. */

const MOST = 200;
export interface Found extends TraceRecord {
  readonly by: string | null;
}

export async function tracesOf(crewId: string, showId: string): Promise<Found[]> {
  const rows = await db()
    .select({ record: trace.record, by: madeByName(trace.madeBy) })
    .from(trace)
    .leftJoin(person, eq(person.id, trace.personId))
    .where(and(eq(trace.crewId, crewId), eq(trace.showId, showId)))
    .orderBy(desc(trace.madeAt))
    .limit(MOST);
  return rows.map((row) => ({ ...row.record, by: row.by }));
}

/** What was found in a show goes along to its copy. */
export async function copyTraces(crewId: string, from: string, to: string): Promise<void> {
  const rows = await db()
    .select()
    .from(trace)
    .where(and(eq(trace.crewId, crewId), eq(trace.showId, from)))
    .orderBy(desc(trace.madeAt))
    .limit(MOST);
  if (rows.length === 0) return;
  await db()
    .insert(trace)
    .values(
      rows.map((row) => {
        const id = randomUUID();
        return { ...row, id, showId: to, record: { ...row.record, id } };
      })
    );
}

/** Keeps what was found; sent twice it is there once. @returns false when there is no such show */
export async function keepTrace(
  { crewId, personId, name }: Who,
  showId: string,
  record: TraceRecord
): Promise<boolean> {
  if (!(await hasShow(crewId, showId))) return false;
  await db()
    .insert(trace)
    .values({ id: record.id, crewId, personId, madeBy: name, showId, record })
    .onConflictDoNothing();
  await tellCrew(crewId, { kind: 'traces', show: showId });
  happened(crewId, showId);
  return true;
}
