// npm run bench:memory: how long the log and its searches take on the server, with ten, a hundred, two hundred thousand entries of two hundred shows.
import postgres from 'postgres';
import { withTestDatabase } from '../scripts/e2e.mjs';
import { freePort } from '../scripts/lib/ports.mjs';
import { main, say } from '../scripts/lib/say.mjs';
import { startServer, stopServer } from '../scripts/lib/server.mjs';
import { ensureBuild, ensurePackages } from '../scripts/lib/setup.mjs';

const SIZES = [10_000, 100_000, 200_000];
const SHOWS = 200;
const RUNS = 41;
/** Wanted, milliseconds: an answer to a search, and a screen. */
const SEARCH = 100;
const SCREEN = 300;

const median = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)];

/** Entries of made-up evenings; what is rare in them is as rare as it is in life. */
async function fill(sql, from, to) {
  await sql`
    insert into entry (id, crew_id, show_id, kind, ref, at, made_by, text, tags, place, facts)
    select gen_random_uuid(), s.crew_id, s.id, (array['edit','reading','note','trace','take'])[1 + k % 5], 'bench ' || k,
      timestamptz '2026-01-01' + k * interval '2 minutes', (array['Mira','Otto','Rosa','Jun'])[1 + k % 4],
      (array['cello','bouzouki','upright bass','narrator','keys','theremin','dulcimer','foley'])[1 + (k * 7) % 8] || ' '
        || (array['works, gain','lead changed, gain','hum heard, gain','take good, gain','crackles, gain'])[1 + (k * 11) % 5] || ' ' || (k * 13) % 60
        || case when k % 997 = 0 then ' hum in the foyer' else '' end || case when k % 1499 = 0 then ' unit ' || k % 40 else '' end,
      '{}', s.name, jsonb_build_object('lines', jsonb_build_array('l-' || k % 12))
    from generate_series(${from}::int, ${to - 1}::int) k
    join (select id, crew_id, name, row_number() over (order by made_at, id) - 1 as n from show) s on s.n = k % ${SHOWS}::int`;
  await sql`analyze entry`;
}

await main(async () => {
  ensurePackages();
  ensureBuild();
  await withTestDatabase(async (databaseUrl) => {
    const port = await freePort();
    const server = await startServer({ host: '127.0.0.1', port, databaseUrl, quiet: true });
    const url = `http://127.0.0.1:${port}`;
    const sql = postgres(databaseUrl, { max: 1, onnotice: () => {} });
    try {
      const [{ crew }] = await sql`select id as crew from crew`;
      const [{ have }] = await sql`select count(*)::int as have from show`;
      await sql`insert into show (crew_id, name, plan)
        select ${crew}, 'Night ' || k, plan from generate_series(${have + 1}::int, ${SHOWS}::int) k, (select plan from show where name = 'The Salt Road' limit 1) p`;
      const [{ id: show }] = await sql`select id from show order by made_at, id limit 1`;
      // Lines that worked, changes of the kit, players and their instruments, as many as two hundred evenings leave.
      let setup;
      // The earlier nights are told a moment after the start.
      for (let tries = 0; !setup && tries < 120; tries++) {
        [setup] = await sql`select to_jsonb(w) as row from worked w limit 1`;
        if (!setup) await new Promise((done) => setTimeout(done, 500));
      }
      const instrument = crypto.randomUUID();
      await sql`insert into worked select (jsonb_populate_record(null::worked, ${sql.json(setup.row)} || jsonb_build_object('id', gen_random_uuid(), 'show_id', s.id,
          'line_id', 'l-' || k, 'instrument_id', case when k = 3 then ${instrument} end, 'at', timestamptz '2026-01-01' + k * interval '3 hours'))).*
        from show s, generate_series(1, 100) k`;
      await sql`insert into kit_change (crew_id, item_id, before, after, said, show_id)
        select ${crew}, 'rope-0' || 1 + k % 9, null, i.item, 'crackles ' || k, null from generate_series(1, 20000) k, (select item from kit_item where id = 'rope-04') i`;
      await sql`insert into player (id, crew_id, player) select gen_random_uuid(), ${crew}, jsonb_set(p.player, '{name}', to_jsonb('Player ' || k))
        from generate_series(1, 150) k, (select player from player limit 1) p`;
      await sql`insert into instrument (id, crew_id, instrument) select case when k = 1 then ${instrument}::uuid else gen_random_uuid() end, ${crew},
        jsonb_set(p.instrument, '{name}', to_jsonb('Instrument ' || k)) from generate_series(1, 400) k, (select instrument from instrument limit 1) p`;
      await sql`insert into venue (id, crew_id, venue) select gen_random_uuid(), ${crew}, jsonb_set(p.venue, '{name}', to_jsonb('Hall ' || k))
        from generate_series(1, 100) k, (select venue from venue limit 1) p`;
      await sql`analyze`;
      const [{ id: place }] = await sql`select id from venue limit 1`;
      const asks = {
        'search: hum foyer': '/api/log?q=hum%20foyer',
        'search: gain cello': '/api/log?q=gain%20cello',
        'search: unit 12': '/api/log?q=unit%2012',
        'search: g': '/api/log?q=g',
        'search: nothing has it': '/api/log?q=xylophone%20zither',
        'search: hum, by one person, at one show': `/api/log?q=hum&by=Mira&show=${show}`,
        'screen: memory': '/memory',
        'screen: log of a show': `/show/${show}/log`,
        'screen: shows': '/',
        'screen: lines of a show': `/show/${show}`,
        'screen: kit': '/kit',
        'screen: a unit of kit': '/kit/rope-04',
        'screen: players': '/memory/players',
        'screen: an instrument': `/memory/players/${instrument}`,
        'screen: what worked': '/memory/worked',
        'screen: what worked, by name and DI': '/memory/worked?q=theremin&box=passive-di',
        'screen: venues': '/memory/venues',
        'screen: a venue': `/memory/venues/${place}`,
        'screen: last time': `/api/shows/${show}/worked?name=Theremin&source=line-unbalanced`
      };
      const found = Object.fromEntries(Object.keys(asks).map((what) => [what, []]));
      let filled = 0;
      for (const size of SIZES) {
        await fill(sql, filled, size);
        filled = size;
        for (const [what, path] of Object.entries(asks)) {
          const took = [];
          for (let k = 0; k < RUNS; k++) {
            const begun = performance.now();
            const answer = await fetch(`${url}${path}`);
            const text = await answer.text();
            if (answer.status !== 200) throw new Error(`${path}: ${answer.status} ${text.slice(0, 200)}`);
            took.push(performance.now() - begun);
          }
          found[what].push(median(took));
        }
      }
      say(`${''.padEnd(42)}${SIZES.map((n) => `${n / 1000}k`.padStart(9)).join('')}   growth`);
      for (const [what, took] of Object.entries(found)) {
        const most = what.startsWith('search') ? SEARCH : SCREEN;
        const growth = Math.log(took.at(-1) / took[0]) / Math.log(SIZES.at(-1) / SIZES[0]);
        const late = took.at(-1) > most;
        say(
          `${late ? '✗' : ' '} ${what.padEnd(40)}${took.map((ms) => `${ms.toFixed(0)} ms`.padStart(9)).join('')}   n^${growth.toFixed(2)}${late ? `, ${most} ms wanted` : ''}`
        );
        if (late) process.exitCode = 1;
      }
    } finally {
      await sql.end();
      await stopServer(server);
    }
  });
});
