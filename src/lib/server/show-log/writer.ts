import { nameKey } from '$core/text/names';
import { server as says } from '$core/words/server';
import { randomUUID } from 'node:crypto';
import type postgres from 'postgres';
import { compute, NotComputed } from '../compute/pool';
import { client, isAway } from '../db';
import { tellCrew } from '../live';
import { keepOwnModels } from '../own-models';
import { log } from '../log';
import type { Told, ToTell } from './tell';

/**
 * The log writes itself: a moment after something has happened at a show it is told in words, by a computing thread, for it takes judging. What is told
 * is known by what it tells of, so that two servers, or a start anew, tell nothing twice and leave nothing out.
 */

/** It is quiet at a show for so long, milliseconds, before what happened is told: a slider is one change. At last after the longer one. */
const QUIET = 4000;
const AT_LAST = 20_000;
/** More edits than these at once are not told one by one: they are in the plan's history all the same. */
const MOST_EDITS = 3000;
/** Of everything else, so much at a time. */
const AT_ONCE = 500;

interface Due {
  readonly timer: NodeJS.Timeout;
  readonly since: number;
}
const due = new Map<string, Due>();

/** Something has happened at a show. */
export function happened(crewId: string, showId: string): void {
  const before = due.get(showId);
  if (before) clearTimeout(before.timer);
  const since = before?.since ?? Date.now();
  const wait = Math.max(0, Math.min(QUIET, since + AT_LAST - Date.now()));
  const timer = setTimeout(() => {
    due.delete(showId);
    void catchUp(crewId, showId);
  }, wait);
  // A server that stops does not wait for it: what is not told then is told after the next start.
  timer.unref();
  due.set(showId, { timer, since });
}

/** What is told besides edits: which rows of which table, by the kind of their entries. */
const TOLD = {
  // What was read in practice, or at the show that this one was copied from, did not happen here.
  reading: () => client()`reading where reading ->> 'practice' <> 'true' and not reading ? 'last'`,
  // What was traced at a show that this one was copied from came along, and is told in that one's log.
  trace: () =>
    client()`trace where (record ->> 'at')::timestamptz >= (select made_at from show where show.id = trace.show_id) - interval '1 hour'`,
  stop: () => client()`stop where true`,
  cleared: () => client()`stop where cleared_at is not null`,
  print: () => client()`print where true`,
  kit: () => client()`kit_change where true`
} as const;
const TABLES = {
  ...{ reading: 'reading', trace: 'trace', stop: 'stop', cleared: 'stop' },
  ...{ print: 'print', kit: 'kit_change' }
} as const;
const KINDS = Object.keys(TOLD) as (keyof typeof TOLD)[];

/** Rows of a kind that have no entry yet, from `from` on. @param show the show's id, as a piece of the question */
function untold(kind: keyof typeof TOLD, show: postgres.Fragment): postgres.Fragment {
  const sql = client();
  const of = sql(TABLES[kind]);
  return sql`from ${TOLD[kind]()} and ${of}.show_id = ${show}
    and not exists (select 1 from entry e where e.show_id = ${of}.show_id and e.kind = ${kind} and e.ref = ${of}.id::text)`;
}

/**
 * Shows of which something has not been told: after a start, after an update to the first version with a log, and before everything is taken along.
 * @param crewId of one crew; of all where left out
 */
export async function catchUpAll(crewId?: string): Promise<void> {
  const sql = client();
  const any = KINDS.map((kind) => sql`or exists (select 1 ${untold(kind, sql`s.id`)})`);
  const rows = await sql<{ id: string; crew_id: string }[]>`
    select s.id, s.crew_id from show s
    where s.deleted_at is null ${crewId ? sql`and s.crew_id = ${crewId}` : sql``} and (s.logged < s.revision ${any})`;
  for (const { id, crew_id: crew } of rows) await catchUp(crew, id);
}

/** Under way, by show: one at a time. */
const underWay = new Map<string, Promise<void>>();

/** Tells what has not been told of a show. Never throws: what could not be told now is told next time. */
export function catchUp(crewId: string, showId: string): Promise<void> {
  const next = (underWay.get(showId) ?? Promise.resolve()).then(async () => {
    try {
      while (await step(crewId, showId));
    } catch (error) {
      if (!isAway(error))
        log.warn({ show: showId, error: error instanceof Error ? error.message : String(error) }, 'not logged');
    }
  });
  underWay.set(showId, next);
  void next.then(() => underWay.get(showId) === next && underWay.delete(showId));
  return next;
}

/** How often telling what happened at a show has failed on end, by show. */
const failed = new Map<string, number>();
const MOST_FAILS = 3;

/** What is not told yet of a show, as the database writes it: read by the thread that tells it, for the one that answers everybody has better to do. */
interface Untold {
  readonly name: string;
  readonly revision: number;
  readonly logged: number;
  /** `ToTell` as text. */
  readonly task: string;
  /** How many edits are in it, and of everything else what there is most of. */
  readonly edits: number;
  readonly most: number;
  /** Of the edits, where there are any. */
  readonly last: Pick<ToTell['edits'][number], 'id' | 'at' | 'personId' | 'by'> | null;
}

async function untoldAt(crewId: string, showId: string): Promise<Untold | undefined> {
  const sql = client();
  const moment = (column: string) => sql`floor(extract(epoch from ${sql(column)}) * 1000)::float8 as at`;
  const who = sql`${moment('made_at')}, person_id as "personId", made_by as by, id::text as ref`;
  const list = (name: string, rows: postgres.Fragment) =>
    sql`lateral (select coalesce(json_agg(x), '[]'::json) as list from (${rows}) x) ${sql(name)}`;
  const here = (kind: keyof typeof TOLD) => untold(kind, sql`s.id`);
  const [row] = await sql<Untold[]>`
    select s.name, s.revision, s.logged, json_array_length(edits.list) as edits, edits.list -> -1 as last,
      greatest(json_array_length(readings.list), json_array_length(traces.list), json_array_length(stops.list),
        json_array_length(cleared.list), json_array_length(prints.list), json_array_length(kit.list)) as most,
      json_build_object('plan', s.plan, 'revision', s.revision, 'edits', edits.list, 'readings', readings.list, 'traces', traces.list,
        'stops', stops.list, 'cleared', cleared.list, 'prints', prints.list, 'kit', kit.list)::text as task
    from show s,
      ${list(
        'edits',
        sql`select id, revision, ${moment('made_at')}, kind, label, ops, person_id as "personId", made_by as by,
          case when person_id is not null and made_by is not null then person_id::text else coalesce(device::text, '') end as maker
          from edit where show_id = s.id and revision > s.logged and revision <= s.revision and s.revision - s.logged <= ${MOST_EDITS}
          order by revision`
      )},
      ${list('readings', sql`select ${who}, reading ${here('reading')} order by made_at limit ${AT_ONCE}`)},
      ${list('traces', sql`select ${who}, record ${here('trace')} order by made_at limit ${AT_ONCE}`)},
      ${list('stops', sql`select ${who}, line_id as "lineId" ${here('stop')} limit ${AT_ONCE}`)},
      ${list('cleared', sql`select ${moment('cleared_at')}, null as "personId", cleared_by as by, id::text as ref, line_id as "lineId", found ${here('cleared')} limit ${AT_ONCE}`)},
      ${list(
        'prints',
        sql`select ${moment('made_at')}, person_id as "personId", (select name from person p where p.id = person_id) as by, id::text as ref, revision
          ${here('print')} limit ${AT_ONCE}`
      )},
      ${list('kit', sql`select ${who}, item_id as "itemId", before, after, said ${here('kit')} order by id limit ${AT_ONCE}`)}
    where s.id = ${showId} and s.crew_id = ${crewId}`;
  return row;
}

/** Tells a share of it. @returns whether there may be more */
async function step(crewId: string, showId: string): Promise<boolean> {
  const show = await untoldAt(crewId, showId);
  if (!show) return false;
  const skip = show.revision - show.logged > MOST_EDITS;
  if (show.edits === 0 && show.most === 0) {
    if (skip)
      await client()`update show set logged = ${show.revision} where id = ${showId} and logged = ${show.logged}`;
    return false;
  }
  const told = await compute('tell', show.task).catch((error: unknown) => {
    // A thread that was ended, or a server that stops, tells it next time. What fails again and again is in the plan's history, and the log says that it is not told here.
    const fails = (failed.get(showId) ?? 0) + 1;
    failed.set(showId, fails);
    if (!(error instanceof NotComputed && error.reason === 'too-large') && fails < MOST_FAILS) throw error;
    failed.delete(showId);
    log.warn({ show: showId, error: error instanceof Error ? error.message : String(error) }, 'told as one');
    return untoldOf(show);
  });
  failed.delete(showId);
  await write(crewId, showId, show.name, show.logged, show.revision, told);
  await keepOwnModels(crewId, showId, told.ownModels);
  return skip || show.most === AT_ONCE;
}

/** Where it cannot be told what edits did, that they were made. */
function untoldOf({ edits, revision, last }: Untold): Told {
  if (!last) return { entries: [], worked: [], ownModels: [] };
  const { id: ref, at, personId, by } = last;
  return {
    entries: [{ ...{ ref, at, personId, by }, kind: 'edit', text: says.editsNotTold(edits), facts: { revision } }],
    ...{ worked: [], ownModels: [] }
  };
}

async function write(
  crewId: string,
  showId: string,
  place: string,
  from: number,
  to: number,
  { entries, worked }: Told
) {
  const rows = entries.map((e) => ({
    ...{ id: randomUUID(), kind: e.kind, ref: e.ref, at: new Date(e.at).toISOString() },
    ...{ person_id: e.personId, made_by: e.by, text: e.text, facts: e.facts }
  }));
  const kept = worked.map((w) => ({
    ...{ id: w.ref, line_id: w.lineId, at: new Date(w.at).toISOString(), person_id: w.personId, made_by: w.by },
    ...{ name: nameKey(w.setup.name), source: w.source, setup: w.setup, instrument_id: w.instrument }
  }));
  await client().begin(async (sql) => {
    // Whoever told the same edits first has told them.
    const [mine] = await sql`update show set logged = ${to} where id = ${showId} and logged = ${from} returning id`;
    if (!mine) return;
    await sql`
      insert into entry (id, crew_id, show_id, kind, ref, at, person_id, made_by, text, tags, place, facts)
      select r.id, ${crewId}, ${showId}, r.kind, r.ref, r.at, r.person_id, r.made_by, r.text, '{}', ${place}, r.facts
      from jsonb_to_recordset(${JSON.stringify(rows)}::jsonb)
        as r(id uuid, kind text, ref text, at timestamptz, person_id uuid, made_by text, text text, facts jsonb)
      on conflict do nothing`;
    await sql`
      insert into worked (id, crew_id, show_id, line_id, at, person_id, made_by, place, name, source, setup, instrument_id)
      select r.id, ${crewId}, ${showId}, r.line_id, r.at, r.person_id, r.made_by, ${place}, r.name, r.source, r.setup, r.instrument_id
      from jsonb_to_recordset(${JSON.stringify(kept)}::jsonb)
        as r(id uuid, line_id text, at timestamptz, person_id uuid, made_by text, name text, source text, setup jsonb, instrument_id uuid)
      on conflict do nothing`;
  });
  await tellCrew(crewId, { kind: 'log', show: showId });
}
