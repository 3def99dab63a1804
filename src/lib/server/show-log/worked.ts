import type { Setup } from '$core/log/setup';
import { nameKey } from '$core/text/names';
import type { Remembered, WorkedBefore } from '$lib/protocol/log';
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

/** So many are offered; the first is the one that counts. */
const MOST = 5;

/**
 * How a line of this name, or with this source, was set at other shows when it worked, newest first; those of its name before all others.
 * @param line as it is called; a line of a copied show has its own id
 */
export async function workedBefore(
  crewId: string,
  showId: string,
  { name, source }: { readonly name: string; readonly source: string }
): Promise<WorkedBefore[]> {
  const rows = await client()<
    {
      id: string;
      at: string;
      by: string | null;
      show_id: string;
      place: string;
      setup: Setup;
      line_id: string;
      named: boolean;
      photos: number;
    }[]
  >`
    select w.id, w.at, w.made_by as by, w.show_id, w.place, w.setup, w.line_id, w.name = ${nameKey(name)} as named,
      (select count(*)::int from photo p where p.show_id = w.show_id and p.line_id = w.line_id) as photos
    from worked w join show s on s.id = w.show_id
    where w.crew_id = ${crewId} and w.show_id <> ${showId} and s.deleted_at is null and (w.name = ${nameKey(name)} or w.source = ${source})
    order by (w.name = ${nameKey(name)}) desc, w.at desc limit ${MOST * 4}`;
  // A line that was checked twice at a show counts once, as it was left.
  const first = new Map<string, (typeof rows)[number]>();
  for (const row of rows) {
    const key = `${row.show_id} ${row.line_id}`;
    if (!first.has(key)) first.set(key, row);
  }
  return [...first.values()].slice(0, MOST).map(({ at, show_id: show, line_id: lineId, ...row }) => ({
    ...row,
    at: new Date(at).toISOString(),
    show,
    lineId
  }));
}
