import { server as says } from '$core/words/server';
import { nameKey } from '$core/text/names';
import { withoutName, withoutNameIn } from '$core/text/forget';
import type postgres from 'postgres';
import { client } from './db';
import { tellCrew } from './live';

/** Takes a person’s name out of what a crew has written down: the records stay, without the name. */

/** Columns of text, and of JSON, in which people are named. */
const TEXTS = [
  ['entry', 'text'],
  ['kit_change', 'said'],
  ['stop', 'found'],
  ['listened', 'who']
] as const;
const DOCUMENTS = [
  ['reading', 'reading'],
  ['trace', 'record'],
  ['worked', 'setup'],
  ['instrument', 'instrument'],
  ['player', 'player'],
  ['venue', 'venue'],
  ['kit_item', 'item'],
  ['kit_change', 'before'],
  ['kit_change', 'after']
] as const;
/** Who did something, by name. */
const DONE_BY = ['edit', 'reading', 'trace', 'stop', 'entry', 'worked', 'kit_change'] as const;

/**
 * @param name as it is written; a word of its own wherever it is found
 * @param personId whoever did things under it, where they are of the crew
 */
export async function forgetName(crewId: string, name: string, personId: string | null): Promise<void> {
  const by = says.somebody;
  await client().begin(async (sql) => {
    if (personId) {
      for (const table of DONE_BY)
        await sql`update ${sql(table)} set made_by = null where crew_id = ${crewId} and person_id = ${personId} and made_by is not null`;
      await sql`update person set name = ${by} where crew_id = ${crewId} and id = ${personId}`;
    }
    for (const table of DONE_BY)
      await sql`update ${sql(table)} set made_by = null where crew_id = ${crewId} and lower(made_by) = lower(${name})`;
    await sql`update stop set cleared_by = ${by} where crew_id = ${crewId} and lower(cleared_by) = lower(${name})`;
    for (const [table, column] of TEXTS)
      await rewrite(sql, crewId, table, column, name, (t: string) => withoutName(t, name, by));
    // Of nobody any more; its place in a sentence is not wanted there.
    await sql`update instrument set instrument = jsonb_set(instrument, '{player}', '""') where crew_id = ${crewId} and lower(instrument ->> 'player') = lower(${name})`;
    for (const [table, column] of DOCUMENTS)
      await rewrite(sql, crewId, table, column, name, (v: object) => JSON.stringify(withoutNameIn(v, name, by)));
    // Names are compared in a form of their own.
    const renamed = await sql<{ name: string; called: string }[]>`
      select distinct name, setup ->> 'name' as called from worked where crew_id = ${crewId} and name like ${`%${nameKey(name)}%`}`;
    for (const { name: key, called } of renamed)
      await sql`update worked set name = ${nameKey(called)} where crew_id = ${crewId} and name = ${key} and setup ->> 'name' = ${called}`;
  });
  await tellCrew(crewId, { kind: 'players' });
}

/** Rows of a column in which the name stands, written anew. */
async function rewrite<T>(
  sql: postgres.TransactionSql,
  crewId: string,
  table: string,
  column: string,
  name: string,
  anew: (value: T) => string
): Promise<void> {
  const [of, at] = [sql(table), sql(column)];
  const rows = await sql<{ ctid: string; value: T }[]>`
    select ctid::text as ctid, ${at} as value from ${of}
    where crew_id = ${crewId} and strpos(lower(${at}::text), lower(${name.trim().split(/\s+/)[0]})) > 0 for update`;
  for (const { ctid, value } of rows) {
    const [is, was] = [anew(value), typeof value === 'string' ? value : JSON.stringify(value)];
    if (is === was) continue;
    await sql`update ${of} set ${at} = ${typeof value === 'string' ? sql`${is}` : sql`${is}::text::jsonb`} where ctid = ${ctid}::tid`;
  }
}

/** Takes a player out, and the name out of what was written down. @returns false where there is none */
export async function forgetPlayer(crewId: string, id: string): Promise<boolean> {
  const [row] = await client()<{ name: string }[]>`
    delete from player where crew_id = ${crewId} and id = ${id} returning player ->> 'name' as name`;
  if (!row) return false;
  await forgetName(crewId, row.name, null);
  return true;
}
