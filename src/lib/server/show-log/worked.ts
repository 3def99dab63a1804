import { nameKey } from '$core/text/names';
import type { Remembered, WorkedAsk, WorkedBefore } from '$lib/protocol/log';
import { client } from '../db';

/** Lines as they were set when they worked, found again by what they are called and what they are. */

/** Names of so many players' lines are known by heart; those met last. */
const MOST_NAMES = 500;

/** Every line that ever worked, by its name: how it was said when it last did. A show does not remember itself. */
export async function remembered(crewId: string, showId: string): Promise<Remembered[]> {
  const rows = await client()<{ name: string; said: string; place: string; at: string }[]>`
    select * from (
      select distinct on (w.name) w.setup ->> 'name' as name, w.setup ->> 'said' as said, w.place, w.at
      from worked w join show s on s.id = w.show_id
      where w.crew_id = ${crewId} and w.show_id <> ${showId} and s.deleted_at is null and w.setup ->> 'said' is not null
      order by w.name, w.at desc) newest
    order by at desc limit ${MOST_NAMES}`;
  return rows.map((row) => ({ ...row, at: new Date(row.at).toISOString() }));
}

/** A row of `worked w` as the questions below ask for it. */
type Row = Omit<WorkedBefore, 'show' | 'lineId'> & { readonly show_id: string; readonly line_id: string };
const columns = () => client()`
  w.id, w.at, w.made_by as by, w.show_id, w.place, w.setup, w.line_id,
  (select count(*)::int from photo p where p.show_id = w.show_id and p.line_id = w.line_id) as photos`;
const workedRow = ({ at, show_id: show, line_id: lineId, ...row }: Row): WorkedBefore => ({
  ...row,
  ...{ at: new Date(at).toISOString(), show, lineId }
});

/** So many are offered; the first is the one that counts. */
const MOST = 5;

/**
 * How this instrument, a line of this name, or one with this source, was set at other shows when it worked, newest first; those of its name before all others.
 * @param line as it is called; a line of a copied show has its own id
 */
export async function workedBefore(
  crewId: string,
  showId: string,
  { name, source, instrument }: { readonly name: string; readonly source: string; readonly instrument: string | null }
): Promise<WorkedBefore[]> {
  const sql = client();
  const named = instrument
    ? sql`(w.instrument_id = ${instrument} or w.name = ${nameKey(name)})`
    : sql`w.name = ${nameKey(name)}`;
  const rows = await sql<Row[]>`
    select ${columns()}, coalesce(${named}, false) as named
    from worked w join show s on s.id = w.show_id
    where w.crew_id = ${crewId} and w.show_id <> ${showId} and s.deleted_at is null and (${named} or w.source = ${source})
    order by ${instrument ? sql`coalesce(w.instrument_id = ${instrument}, false) desc,` : sql``} coalesce(${named}, false) desc, w.at desc limit ${MOST * 4}`;
  // A line that was checked twice at a show counts once, as it was left.
  const first = new Map<string, (typeof rows)[number]>();
  for (const row of rows) {
    const key = `${row.show_id} ${row.line_id}`;
    if (!first.has(key)) first.set(key, row);
  }
  return [...first.values()].slice(0, MOST).map(workedRow);
}

/** Of all that worked, so many are shown. */
const MOST_SHOWN = 100;

/** Lines as they were left when they worked, newest first; of a line that was checked twice at a show the last. */
export async function workedOf(crewId: string, ask: WorkedAsk): Promise<WorkedBefore[]> {
  const sql = client();
  const words = nameKey(ask.q ?? '')
    .split(' ')
    .filter(Boolean)
    .slice(0, 6);
  const rows = await sql<Row[]>`
    select ${columns()}, true as named
    from worked w join show s on s.id = w.show_id
    where w.crew_id = ${crewId} and s.deleted_at is null
      and not exists (select 1 from worked v where v.show_id = w.show_id and v.line_id = w.line_id and (v.at, v.id) > (w.at, w.id))
      ${ask.instrument ? sql`and w.instrument_id = ${ask.instrument}` : sql``}
      ${ask.venue ? sql`and ${ask.venue} in (s.venue_id, s.other_venue_id)` : sql``}
      ${ask.input ? sql`and w.setup -> 'chain' -> 'devices' -> -1 ->> 'model' = ${ask.input}` : sql``}
      ${ask.box ? sql`and w.setup -> 'chain' -> 'devices' @> ${JSON.stringify([{ model: ask.box }])}::jsonb` : sql``}
      ${words.reduce((all, word) => sql`${all} and (' ' || w.name) like ${`% ${word}%`}`, sql``)}
    order by w.at desc limit ${MOST_SHOWN}`;
  return rows.map(workedRow);
}
