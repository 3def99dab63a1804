import type { Plan } from '$core/plan/schema';
import type { MadeEdit } from '$core/log/told-edits';
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

type Row = Omit<MadeEdit, 'at' | 'maker'> & {
  at: string;
  person_id: string | null;
  by: string | null;
  device: string | null;
};

/** How often telling what happened at a show has failed on end, by show. */
const failed = new Map<string, number>();
const MOST_FAILS = 3;

/** A moment as the database tells it, in milliseconds since 1970. */
const momentOf = (at: string): number => new Date(at).getTime();

/** Tells a share of it. @returns whether there may be more */
async function step(crewId: string, showId: string): Promise<boolean> {
  const sql = client();
  const [show] = await sql<{ plan: Plan; revision: number; logged: number; name: string }[]>`
    select plan, revision, logged, name from show where id = ${showId} and crew_id = ${crewId}`;
  if (!show) return false;
  const skip = show.revision - show.logged > MOST_EDITS;
  const edits = skip
    ? []
    : await sql<Row[]>`
        select id, revision, made_at as at, kind, label, ops, person_id, made_by as by, device from edit
        where show_id = ${showId} and revision > ${show.logged} and revision <= ${show.revision} order by revision`;
  const who = sql`made_at as at, person_id as "personId", made_by as by, id::text as ref`;
  const here = (kind: keyof typeof TOLD) => untold(kind, sql`${showId}`);
  const [readings, traces, stops, cleared, prints, kit] = await Promise.all([
    sql`select ${who}, reading ${here('reading')} order by made_at limit ${AT_ONCE}`,
    sql`select ${who}, record ${here('trace')} order by made_at limit ${AT_ONCE}`,
    sql`select ${who}, line_id as "lineId" ${here('stop')} limit ${AT_ONCE}`,
    sql`select cleared_at as at, null as "personId", cleared_by as by, id::text as ref, line_id as "lineId", found ${here('cleared')} limit ${AT_ONCE}`,
    sql`select made_at as at, person_id as "personId", (select name from person p where p.id = person_id) as by, id::text as ref, revision
      ${here('print')} limit ${AT_ONCE}`,
    sql`select ${who}, item_id as "itemId", before, after, said ${here('kit')} order by id limit ${AT_ONCE}`
  ]);
  const rows = [edits, readings, traces, stops, cleared, prints, kit];
  if (rows.every((some) => some.length === 0)) {
    if (skip) await sql`update show set logged = ${show.revision} where id = ${showId} and logged = ${show.logged}`;
    return false;
  }
  const timed = (some: readonly object[]) => some.map((row) => ({ ...row, at: momentOf((row as { at: string }).at) }));
  const made = edits.map(({ person_id: personId, device, ...e }) => ({
    ...{ ...e, at: momentOf(e.at), personId },
    maker: personId && e.by ? personId : (device ?? '')
  }));
  const task = {
    ...{ plan: show.plan, revision: show.revision, edits: made },
    ...{
      readings: timed(readings),
      traces: timed(traces),
      stops: timed(stops),
      cleared: timed(cleared),
      prints: timed(prints),
      kit: timed(kit)
    }
  } as unknown as ToTell;
  const told = await compute('tell', task).catch((error: unknown) => {
    // A thread that was ended, or a server that stops, tells it next time. What fails again and again is in the plan's history, and the log says that it is not told here.
    const fails = (failed.get(showId) ?? 0) + 1;
    failed.set(showId, fails);
    if (!(error instanceof NotComputed && error.reason === 'too-large') && fails < MOST_FAILS) throw error;
    failed.delete(showId);
    log.warn({ show: showId, error: error instanceof Error ? error.message : String(error) }, 'told as one');
    return untoldOf(task);
  });
  failed.delete(showId);
  await write(crewId, showId, show.name, show.logged, show.revision, told);
  await keepOwnModels(crewId, showId, show.plan, edits);
  return skip || [readings, traces, stops, cleared, prints, kit].some((some) => some.length === AT_ONCE);
}

/** Where it cannot be told what edits did, that they were made. */
function untoldOf({ edits, revision }: ToTell): Told {
  const last = edits.at(-1);
  if (!last) return { entries: [], worked: [] };
  const { id: ref, at, personId, by } = last;
  return {
    entries: [
      { ...{ ref, at, personId, by }, kind: 'edit', text: says.editsNotTold(edits.length), facts: { revision } }
    ],
    worked: []
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
