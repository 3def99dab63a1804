import type { EntryFacts, EntryKind, LogEntry, TypedEntry } from '$core/log/entry';
import { unitsIn } from '$core/kit/units';
import { readTypedEntry } from '$core/log/typed';
import type { LineInfo } from '$core/plan/schema';
import type { LogAsk, LogPage } from '$lib/protocol/log';
import type { Who } from '../access';
import { client } from '../db';
import { crewKit, hearOfUnits } from '../kit';
import { tellCrew } from '../live';
import { hearAt } from '../venues';

/** The log as it is read, searched and written in. */

/** Of entries that are found by what corrects them, so many. */
const MOST_CORRECTED = 500;
/** Entries of one page. */
const PAGE = 100;

interface Row {
  readonly id: string;
  readonly at: string;
  readonly kind: EntryKind;
  readonly text: string;
  readonly by: string | null;
  readonly tags: string[];
  readonly facts: EntryFacts;
  readonly show_id: string;
  readonly place: string;
  readonly corrections: { at: string; by: string | null; text: string }[];
}

/**
 * Words as they are asked for, each as the beginning of a word; null where there is none.
 * Everything that is no letter or digit is a space, so that nothing of it is taken for a sign of the query's own language.
 */
function queryOf(text: string): string | null {
  const words =
    text
      .normalize('NFC')
      .toLowerCase()
      .match(/[\p{L}\p{N}]+/gu) ?? [];
  return words.length === 0
    ? null
    : words
        .slice(0, 12)
        .map((w) => `${w}:*`)
        .join(' & ');
}

/** Entries, newest first, each with what corrects it. */
export async function entriesOf(crewId: string, ask: LogAsk, most: number): Promise<LogEntry[]> {
  const sql = client();
  const query = queryOf(ask.q ?? '');
  // What corrects an entry is found as the entry itself. Asked by itself: the two in one question are no longer found by their words alone.
  const also = query
    ? (
        await sql<{ id: string }[]>`
          select distinct of_entry as id from entry
          where of_entry is not null and crew_id = ${crewId} and search @@ to_tsquery('simple', ${query}) limit ${MOST_CORRECTED}`
      ).map((r) => r.id)
    : [];
  const rows = await sql<Row[]>`
    select e.id, e.at, e.kind, e.text, e.made_by as by, e.tags, e.facts, e.show_id, e.place,
      coalesce((select jsonb_agg(jsonb_build_object('at', c.at, 'by', c.made_by, 'text', c.text) order by c.at, c.id)
        from entry c where c.of_entry = e.id), '[]'::jsonb) as corrections
    from entry e
    where e.crew_id = ${crewId} and e.of_entry is null
      ${ask.show ? sql`and e.show_id = ${ask.show}` : sql`and exists (select 1 from show s where s.id = e.show_id and s.deleted_at is null)`}
      ${ask.kind ? sql`and e.kind = ${ask.kind}` : sql``}
      ${ask.line ? sql`and e.facts -> 'lines' ? ${ask.line}` : sql``}
      ${ask.unit ? sql`and e.facts ? 'units' and e.facts -> 'units' ? ${ask.unit}` : sql``}
      ${ask.venue ? sql`and e.show_id in (select id from show where ${ask.venue} in (venue_id, other_venue_id))` : sql``}
      ${ask.by ? sql`and e.made_by = ${ask.by}` : sql``}
      ${ask.before ? sql`and (e.at, e.id) < (${ask.before.at}::timestamptz, ${ask.before.id}::uuid)` : sql``}
      ${query ? sql`and (e.search @@ to_tsquery('simple', ${query}) ${also.length > 0 ? sql`or e.id = any(${also}::uuid[])` : sql``})` : sql``}
    order by e.at desc, e.id desc limit ${most}`;
  return rows.map(({ at, show_id: show, ...row }) => ({ ...row, show, at: new Date(at).toISOString() }));
}

/** A page of them. */
export async function pageOf(crewId: string, ask: LogAsk): Promise<LogPage> {
  const entries = await entriesOf(crewId, ask, PAGE + 1);
  return { entries: entries.slice(0, PAGE), more: entries.length > PAGE };
}

/**
 * Takes in what somebody typed; sent twice it is there once. When it happened goes by what the browser knows of the server's clock, and never lies ahead of it.
 * @returns ids of those that correct an entry which is not there; null where there is no such show
 */
export async function writeDown(
  who: Who,
  showId: string,
  typed: readonly TypedEntry[]
): Promise<{ readonly strange: readonly string[] } | null> {
  const sql = client();
  const [show] = await sql<{ name: string; lines: Record<string, LineInfo> }[]>`
    select name, plan -> 'lines' as lines from show where id = ${showId} and crew_id = ${who.crewId} and deleted_at is null`;
  if (!show) return null;
  const lines = Object.entries(show.lines).map(([id, { name, channel }]) => ({ id, name, channel }));
  const wanted = typed.flatMap((t) => t.of ?? []);
  const roots = new Map(
    (
      await sql<{ id: string; root: string }[]>`
        select id, coalesce(of_entry, id) as root from entry where show_id = ${showId} and id = any(${wanted}::uuid[])`
    ).map(({ id, root }) => [id, root])
  );
  const strange = typed.filter((t) => t.of !== null && !roots.has(t.of)).map((t) => t.id);
  const kit = await crewKit(who.crewId);
  const rows = typed
    .filter((t) => !strange.includes(t.id))
    .map((t) => {
      const { kind, tags, facts } = readTypedEntry(t.text, lines, t.lineId);
      const units = unitsIn(kit, t.text).slice(0, 50);
      return {
        ...{ id: t.id, kind, at: t.at, text: t.text, tags },
        ...{
          facts: { ...facts, ...(units.length > 0 ? { units } : {}), revision: t.revision },
          of_entry: t.of && roots.get(t.of)
        }
      };
    });
  const fresh = await sql<{ id: string }[]>`
    insert into entry (id, crew_id, show_id, kind, ref, at, person_id, made_by, text, tags, place, facts, of_entry)
    select r.id, ${who.crewId}, ${showId}, r.kind, r.id::text, least(r.at, date_trunc('milliseconds', now())), ${who.personId}, ${who.name}, r.text,
      array(select jsonb_array_elements_text(r.tags)), ${show.name}, r.facts, r.of_entry
    from jsonb_to_recordset(${JSON.stringify(rows)}::jsonb)
      as r(id uuid, kind text, at timestamptz, text text, tags jsonb, facts jsonb, of_entry uuid)
    on conflict do nothing returning id`;
  const isFresh = new Set(fresh.map((r) => r.id));
  await tellCrew(who.crewId, { kind: 'log', show: showId });
  await hearAt(
    who.crewId,
    showId,
    rows.map((r) => r.text)
  );
  await hearOfUnits(
    who,
    showId,
    // Sent twice it is heard once; of a correction it is not known what it takes back.
    rows.filter((r) => isFresh.has(r.id) && r.of_entry === null && r.facts.units).map((r) => r.text)
  );
  return { strange };
}

/** Names under which entries stand, most entries first. */
export async function peopleInLog(crewId: string): Promise<string[]> {
  const rows = await client()<{ by: string }[]>`
    select made_by as by from entry where crew_id = ${crewId} and made_by is not null group by made_by order by count(*) desc limit 100`;
  return rows.map((r) => r.by);
}
