import { createHash } from 'node:crypto';
import { ownConnection } from './db';
import { catchUpAll } from './show-log/writer';

/**
 * Everything a crew has as one open file, a JSON object a line: first what it is, then the rows of each table as they are, at the end
 * how many there were and a checksum of all lines before. Read row by row, so that it takes no more memory for more of it.
 */

/** Tables in the order in which they can be read back: each after those that it speaks of. The order of their rows is told with them. */
const TABLES = [
  ['person', 'made_at, id'],
  ['venue', 'made_at, id'],
  ['instrument', 'made_at, id'],
  ['player', 'made_at, id'],
  ['show', 'made_at, id'],
  ['own_model', 'name'],
  ['edit', 'show_id, revision'],
  ['kit_item', 'made_at, id'],
  ['kit_change', 'id'],
  ['print', 'made_at, id'],
  ['tick', 'show_id, key'],
  ['reading', 'made_at, id'],
  ['trace', 'made_at, id'],
  ['stop', 'made_at, id'],
  ['entry', 'made_at, id'],
  ['worked', 'made_at, id'],
  ['photo', 'made_at, id'],
  ['picture', 'made_at, id'],
  ['listening', 'made_at, id'],
  ['listening_part', 'listening_id, sound, part'],
  ['listened', 'made_at, id']
] as const;
/** Rows fetched at a time. */
const AT_ONCE = 20;

/** The lines of a crew's file, as of one moment. */
export async function* exportOf(crewId: string): AsyncGenerator<string> {
  // What has just happened is told in the log, and goes along.
  await catchUpAll(crewId);
  const sql = ownConnection();
  const hash = createHash('sha256');
  const line = (what: object): string => {
    const text = `${JSON.stringify(what)}\n`;
    hash.update(text);
    return text;
  };
  try {
    // All tables as they stood when it began, whatever is written meanwhile.
    await sql.unsafe('begin isolation level repeatable read read only');
    const [{ name }] = await sql<{ name: string }[]>`select name from crew where id = ${crewId}`;
    yield line({ kind: 'guanxi-crew', version: 2, crew: name, at: new Date().toISOString() });
    let rows = 0;
    for (const [table, order] of TABLES) {
      const found = sql.unsafe(`select to_jsonb(t) as row from "${table}" t where crew_id = $1 order by ${order}`, [
        crewId
      ]);
      for await (const some of found.cursor(AT_ONCE))
        for (const { row } of some) {
          rows++;
          yield line({ table, row: withoutTies(row as Record<string, unknown>) });
        }
    }
    yield `${JSON.stringify({ end: rows, sha256: hash.digest('hex') })}\n`;
  } finally {
    await sql.end({ timeout: 1 }).catch(() => undefined);
  }
}

/** A row without what belongs to this server alone: its crew's id, an account, what it has computed. */
function withoutTies({ crew_id: _, user_id: __, glance: ___, search: ____, ...row }: Record<string, unknown>): object {
  return row;
}
