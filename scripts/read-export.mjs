// npm run read-export -- FILE: reads what "export everything" wrote into a server that has nothing of its own yet.
import { createHash } from 'node:crypto';
import { createReadStream, existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { createInterface } from 'node:readline';
import { lockHolder } from './lib/lock.mjs';
import { appDatabase } from './lib/postgres.mjs';
import { main, Refusal, say } from './lib/say.mjs';
import { ensurePackages } from './lib/setup.mjs';

const TABLES = [
  'person',
  'venue',
  'instrument',
  'player',
  'show',
  'own_model',
  'edit',
  'kit_item',
  'kit_change',
  'print',
  'tick',
  'reading',
  'trace',
  'stop',
  'entry',
  'worked',
  'photo',
  'picture',
  'listening',
  'listening_part',
  'listened'
];
const lines = (file) => createInterface({ input: createReadStream(file), crlfDelay: Infinity });
const parse = (text, n) => {
  try {
    return JSON.parse(text);
  } catch {
    throw new Refusal(`Line ${n} is not JSON: this is no export of this program, or it was cut short.`);
  }
};

/** Reads it whole before anything is written: a file that is damaged or cut short changes nothing. */
async function check(file) {
  const hash = createHash('sha256');
  let n = 0;
  let rows = 0;
  let end = null;
  for await (const text of lines(file)) {
    n++;
    if (end) throw new Refusal(`There is something behind the end, in line ${n}.`);
    const line = parse(text, n);
    if (n === 1 && (line.kind !== 'guanxi-crew' || line.version !== 2))
      throw new Refusal(`${file} is no export of everything, or one of another version.`);
    if ('end' in line) {
      end = line;
      continue;
    }
    hash.update(`${text}\n`);
    if (n > 1) {
      if (!TABLES.includes(line.table)) throw new Refusal(`Line ${n}: there is no table ${line.table}.`);
      rows++;
    }
  }
  if (!end) throw new Refusal(`${file} was cut short: its end is missing.`);
  if (end.end !== rows || end.sha256 !== hash.digest('hex'))
    throw new Refusal(`${file} is damaged: it is not what was written. Nothing was touched.`);
  return rows;
}

await main(async () => {
  if (!process.argv[2]) throw new Refusal('Which file? npm run read-export -- FILE');
  const file = resolve(process.argv[2]);
  if (!existsSync(file)) throw new Refusal(`There is no file ${file}.`);
  const rows = await check(file);
  const running = lockHolder();
  if (running && !process.env.DATABASE_URL) throw new Refusal(`Guanxi runs (process ${running.pid}). Stop it first.`);
  ensurePackages();
  const database = await appDatabase();
  const { default: postgres } = await import('postgres');
  const sql = postgres(database.url, { max: 1, onnotice: () => {} });
  try {
    await sql.begin(async (tx) => {
      const crews = await tx`select id from crew`;
      if (crews.length !== 1)
        throw new Refusal('Start the server once first, so that there is a crew to read it into.');
      const [{ id: crew }] = crews;
      const [{ own }] = await tx`
        select (select count(*) from edit) + (select count(*) from reading where made_at >= (select made_at from crew)) + (select count(*) from kit_change where made_at >= (select made_at from crew))
             + (select count(*) from photo) + (select count(*) from picture) + (select count(*) from listening) + (select count(*) from entry where kind in ('note', 'take') and made_at > (select made_at from crew))
             + (select count(*) from venue where changed_at > (select made_at from crew))
             + (select count(*) from instrument where changed_at > (select made_at from crew))
             + (select count(*) from player where changed_at > (select made_at from crew)) + (select count(*) from show where revision > 0) as own`;
      if (Number(own) > 0) throw new Refusal('This server has work of its own. Read the file into an empty one.');
      // What a new server shows for a start, earlier evenings among it, makes room.
      for (const table of [
        'entry',
        'worked',
        'reading',
        'trace',
        'print',
        'tick',
        'share',
        'kit_change',
        'own_model',
        'show',
        'venue',
        'instrument',
        'player',
        'kit_item'
      ])
        await tx.unsafe(`delete from "${table}"`);
      let n = 0;
      for await (const text of lines(file)) {
        if (n++ === 0) {
          await tx`update crew set name = ${JSON.parse(text).crew} where id = ${crew}`;
          continue;
        }
        const { table, row, end } = JSON.parse(text);
        if (end !== undefined) break;
        const own = table === 'kit_change' ? 'overriding system value' : '';
        const whole = { ...row, crew_id: crew };
        // By name: what the file does not have is left to the database, which makes some of it itself.
        const columns = Object.keys(whole)
          .map((name) => `"${name.replaceAll('"', '""')}"`)
          .join(', ');
        await tx.unsafe(
          `insert into "${table}" (${columns}) ${own} select ${columns} from jsonb_populate_record(null::"${table}", $1::text::jsonb)`,
          [JSON.stringify(whole)]
        );
      }
      await tx`select setval(pg_get_serial_sequence('kit_change', 'id'), greatest((select max(id) from kit_change), 1))`;
    });
    say(`${rows} rows were read. Accounts and links are not part of an export: invite people anew.`);
  } finally {
    await sql.end({ timeout: 5 });
    database.stop();
  }
});
