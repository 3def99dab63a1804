// npm run load: what one server bears on this machine: pages, and saved edits, by so many who ask at once. Loopback only, some seconds each.
import autocannon from 'autocannon';
import postgres from 'postgres';
import { randomUUID } from 'node:crypto';
import { withTestDatabase } from '../scripts/e2e.mjs';
import { freePort } from '../scripts/lib/ports.mjs';
import { main, say } from '../scripts/lib/say.mjs';
import { startServer, stopServer } from '../scripts/lib/server.mjs';
import { ensureBuild, ensurePackages } from '../scripts/lib/setup.mjs';

const SECONDS = 8;
const CLIENTS = [1, 8, 32];

const run = (options) =>
  new Promise((done, fail) =>
    autocannon({ duration: SECONDS, ...options }, (error, result) => (error ? fail(error) : done(result)))
  );

/** Each show has one who edits it, one edit after the other, as fast as they are taken in. @throws where one is refused */
async function saved(url, shows) {
  const took = [];
  const begun = performance.now();
  const until = begun + SECONDS * 1000;
  await Promise.all(
    shows.map(async ({ id, plan }) => {
      const [cable, { metres: first }] = Object.entries(plan.cables)[0];
      let [metres, base] = [first, 0];
      while (performance.now() < until) {
        const since = performance.now();
        const next = metres === first ? first + 1 : first;
        const edit = {
          id: randomUUID(),
          label: { code: 'set', subject: 'load' },
          ops: [{ op: 'set', table: 'cables', id: cable, path: ['metres'], from: metres, to: next }]
        };
        const answer = await fetch(`${url}/api/shows/${id}/edits`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ base, edits: [{ edit, kind: 'do', of: null }] })
        });
        if (!answer.ok) throw new Error(`${answer.status} ${await answer.text()}`);
        ({ revision: base } = await answer.json());
        metres = next;
        took.push(performance.now() - since);
      }
    })
  );
  return { took: took.sort((a, b) => a - b), seconds: (performance.now() - begun) / 1000 };
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
      const [{ id }] = await sql`select id from show order by made_at, id limit 1`;
      const asks = {
        'is it well': { url: `${url}/healthz` },
        shows: { url: `${url}/` },
        'lines of a show': { url: `${url}/show/${id}` },
        'a plan as a file': { url: `${url}/api/shows/${id}/plan` }
      };
      say(`                     clients   a second   median   99 of 100   failed`);
      for (const [name, options] of Object.entries(asks))
        for (const connections of CLIENTS) {
          const { requests, latency, non2xx, errors, timeouts } = await run({ ...options, connections });
          say(
            `${name.padEnd(20)} ${String(connections).padStart(7)} ${requests.average.toFixed(0).padStart(10)} ${latency.p50.toFixed(0).padStart(5)} ms ${latency.p99.toFixed(0).padStart(8)} ms ${String(non2xx + errors + timeouts).padStart(8)}`
          );
        }
      for (const clients of CLIENTS) {
        const shows =
          await sql`insert into show (crew_id, name, plan) select crew_id, 'Load ' || k, plan from show, generate_series(1, ${clients}::int) k where id = ${id} returning id, plan`;
        const { took, seconds } = await saved(url, shows);
        const at = (share) => took[Math.min(took.length - 1, Math.floor(share * took.length))];
        say(
          `saved edits          ${String(clients).padStart(7)} ${(took.length / seconds).toFixed(0).padStart(10)} ${at(0.5).toFixed(0).padStart(5)} ms ${at(0.99).toFixed(0).padStart(8)} ms ${String(0).padStart(8)}`
        );
      }
    } finally {
      await sql.end();
      await stopServer(server);
    }
  });
});
