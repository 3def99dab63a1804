import type { Plan } from '$core/plan/schema';
import type { PushAnswer, SentEdit } from '$lib/protocol/edits';
import type postgres from 'postgres';
import type { Who } from './access';
import { client } from './db';
import { CHANNEL, messageTo } from './live';
import { MOST_SINCE } from './shows';
import { type Taken, takeEdits } from './take';
import { happened } from './show-log/writer';

/** Taking edits in: the one thing everybody waits for, hence in as few ways to the database and back as it can be. */

/** Tried so often on what was read before it is locked first: two at the same show at the same moment are rare. */
const TRIES = 3;

interface Read {
  readonly plan: Plan;
  readonly revision: number;
  /** Of those sent, the ones taken in already. */
  readonly known: readonly string[];
  /** What was done since the revision they were made on; null where that is too much to tell one by one. */
  readonly since: readonly { revision: number; by: string | null; sent: SentEdit }[] | null;
}

/** Everything that is needed to decide, in one question. */
async function read(sql: postgres.Sql, who: Who, showId: string, base: number, ids: readonly string[], lock: boolean) {
  const [row] = await sql<Read[]>`
    select s.plan, s.revision,
      array(select e.id from edit e where e.show_id = s.id and e.id = any(${ids as string[]}::uuid[])) as known,
      case when s.revision - ${base}::int between 0 and ${MOST_SINCE} then coalesce(
        (select jsonb_agg(jsonb_build_object('revision', e.revision, 'by', e.made_by, 'sent', jsonb_build_object(
            'edit', jsonb_build_object('id', e.id, 'label', e.label, 'ops', e.ops), 'kind', e.kind, 'of', e.of_edit)) order by e.revision)
         from edit e where e.show_id = s.id and e.revision > ${base}::int), '[]'::jsonb) end as since
    from show s
    where s.id = ${showId} and s.crew_id = ${who.crewId} and s.deleted_at is null
    ${lock ? sql`for update of s` : sql``}`;
  return row as Read | undefined;
}

/**
 * Stores what is new, if the show is still as it was read, and tells everybody with the same stroke.
 * @returns whether it was
 */
async function write(sql: postgres.Sql, who: Who, showId: string, was: number, { plan, revision, fresh }: Taken) {
  const rows = fresh.map(({ sent, revision: at }) => ({
    ...{ id: sent.edit.id, revision: at, kind: sent.kind, of_edit: sent.of },
    ...{ label: sent.edit.label, ops: sent.edit.ops }
  }));
  const told = messageTo(who.crewId, { kind: 'edits', show: showId, revision });
  const done = await sql`
    with kept as (
      update show set plan = ${JSON.stringify(plan)}::jsonb, revision = ${revision}, changed_at = now()
      where id = ${showId} and revision = ${was} returning id
    ), put as (
      insert into edit (id, crew_id, show_id, person_id, device, made_by, revision, kind, of_edit, label, ops)
      select r.id, ${who.crewId}::uuid, kept.id, ${who.personId}::uuid, ${who.device.id}::uuid, ${who.name}, r.revision, r.kind, r.of_edit, r.label, r.ops
      from kept, jsonb_to_recordset(${JSON.stringify(rows)}::jsonb)
        as r(id uuid, revision int, kind text, of_edit uuid, label jsonb, ops jsonb)
    )
    select pg_notify(${CHANNEL}, ${told}) from kept`;
  return done.count > 0;
}

/**
 * Takes edits in, all or nothing of what fits. An edit already taken in is skipped, so a repeated message does no harm;
 * one made on an older revision is applied to the present plan if what it changes is still as it was.
 * @returns null when there is no such show
 */
export async function pushEdits(
  who: Who,
  showId: string,
  base: number,
  edits: readonly SentEdit[]
): Promise<PushAnswer | null> {
  const ids = edits.map((e) => e.edit.id);
  /** One try. @returns undefined where somebody else was faster */
  const attempt = async (sql: postgres.Sql, lock: boolean): Promise<PushAnswer | null | undefined> => {
    const row = await read(sql, who, showId, base, ids, lock);
    if (!row) return null;
    const taken = takeEdits(row, new Set(row.known), edits);
    const { plan, revision, accepted, conflict, fresh } = taken;
    if (fresh.length > 0) {
      if (!(await write(sql, who, showId, row.revision, taken))) return undefined;
      happened(who.crewId, showId);
    }
    const answer = { revision, accepted, conflict };
    if (!row.since || revision - base > MOST_SINCE) return { ...answer, edits: [], plan };
    const own = fresh.map(({ sent, revision: at }) => ({ revision: at, by: who.name, sent }));
    return { ...answer, edits: [...row.since, ...own], plan: null };
  };
  for (let k = 0; k < TRIES; k++) {
    const answer = await attempt(client(), false);
    if (answer !== undefined) return answer;
  }
  return (await client().begin((tx) => attempt(tx as unknown as postgres.Sql, true)))!;
}
