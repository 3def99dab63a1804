import type { LiveEvent } from '$lib/protocol/live';
import { same } from '$core/plan/json';
import { client } from './db';
import { tellCrew } from './live';

/** Things that a crew knows, each kept whole: places, players, instruments. A change says what it changes from, so that nobody overwrites what they have not seen. */

/** Tables of this kind; each has a column of its own name that holds the thing. */
export type DocumentTable = 'venue' | 'player' | 'instrument';

/** Of one kind, so many. */
const MOST = 1000;

export type PutAnswer<T> = { ok: true } | { ok: false; now: T | null } | { ok: false; tooMany: number };

/**
 * Writes a thing down, changes it, or takes it out.
 * @param from as whoever changes it saw it; null for a new one
 * @param to null takes it out
 * @returns the thing as it is where somebody else has changed it since
 */
export async function putDocument<T extends object>(
  table: DocumentTable,
  crewId: string,
  id: string,
  from: T | null,
  to: T | null
): Promise<PutAnswer<T>> {
  const of = client()(table);
  const answer = await client().begin(async (sql): Promise<PutAnswer<T>> => {
    const [row] = await sql<{ crew_id: string; doc: T }[]>`
      select crew_id, ${of} as doc from ${of} where id = ${id} for update`;
    // Of another crew: as if it were not there, and its id is taken.
    if (row && row.crew_id !== crewId) return { ok: false, now: null };
    if (!same((row?.doc ?? null) as never, from as never)) {
      // Sent twice it is there once.
      if (same((row?.doc ?? null) as never, to as never)) return { ok: true };
      return { ok: false, now: row?.doc ?? null };
    }
    if (to === null) {
      await sql`delete from ${of} where id = ${id}`;
      await sql`delete from picture where crew_id = ${crewId} and "of" = ${table} and of_id = ${id}`;
    } else if (row)
      await sql`update ${of} set ${of} = ${JSON.stringify(to)}::jsonb, changed_at = now() where id = ${id}`;
    else {
      const [{ count }] = await sql<{ count: number }[]>`
        select count(*)::int as count from ${of} where crew_id = ${crewId}`;
      if (count >= MOST) return { ok: false, tooMany: MOST };
      await sql`insert into ${of} (id, crew_id, ${of}) values (${id}, ${crewId}, ${JSON.stringify(to)}::jsonb)`;
    }
    return { ok: true };
  });
  const kind: LiveEvent['kind'] = table === 'venue' ? 'venues' : 'players';
  if (answer.ok) await tellCrew(crewId, { kind } as LiveEvent);
  return answer;
}

export interface Kept<T> {
  readonly id: string;
  readonly it: T;
}
/** All of a kind, by name. */
export async function documentsOf<T>(table: DocumentTable, crewId: string): Promise<Kept<T>[]> {
  const of = client()(table);
  return client()<Kept<T>[]>`
    select id, ${of} as it from ${of} where crew_id = ${crewId} order by lower(${of} ->> 'name'), id limit ${MOST}`;
}
