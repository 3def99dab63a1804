import { randomUUID } from 'node:crypto';
import { freePort } from '../lib/ports.mjs';
import { startServer, stopServer } from '../lib/server.mjs';
import { Person } from './person.mjs';

const EDITORS = 20;
const EDITS = 25;

/** Twenty editors of one show on two servers, all at the same row: what is acknowledged is in, in one order, the same on both. */
export async function editors(copy, show) {
  const second = await startServer({ port: await freePort(), databaseUrl: copy.databaseUrl(), quiet: true });
  try {
    const at = (k) => new Person(k % 2 === 0 ? copy.url : second.origin);
    const { plan } = (await at(0).send('GET', `/api/shows/${show}`)).json();
    const [line] = Object.keys(plan.lines);
    const acknowledged = [];
    let conflicts = 0;
    let failed = 0;
    const edit = async (k) => {
      const person = at(k);
      let from = plan.lines[line].name;
      for (let n = 0; n < EDITS;) {
        const to = `Line of ${k}, ${n}`;
        const id = randomUUID();
        const ops = [{ op: 'set', table: 'lines', id: line, path: ['name'], from, to }];
        const sent = { edit: { id, label: { code: 'set', subject: 'Line' }, ops }, kind: 'do', of: null };
        const answer = await person.send('POST', `/api/shows/${show}/edits`, { base: 0, edits: [sent] });
        if (answer.status === 200) {
          acknowledged.push({ id, to });
          from = to;
          n++;
        } else if (answer.status === 409) {
          conflicts++;
          from = (await person.send('GET', `/api/shows/${show}`)).json().plan.lines[line].name;
        } else if (++failed > 5) return;
      }
    };
    await Promise.all(Array.from({ length: EDITORS }, (_, k) => edit(k)));
    const [one, two] = [0, 1].map((k) => at(k).send('GET', `/api/shows/${show}`));
    const shows = [(await one).json(), (await two).json()];
    const same = JSON.stringify(shows[0].plan) === JSON.stringify(shows[1].plan);
    const rows = await copy.ask(
      (sql) => sql`select id, revision, ops from edit where show_id = ${show} order by revision`
    );
    const there = new Set(rows.map((row) => row.id));
    const lost = acknowledged.filter(({ id }) => !there.has(id)).length;
    // Each edit begins where the one before it ended: there is one order, and nobody wrote over what they had not seen.
    const chain = rows.map((row) => row.ops.find((o) => o.table === 'lines' && o.path?.[0] === 'name')).filter(Boolean);
    const torn = chain.filter((op, k) => k > 0 && op.from !== chain[k - 1].to).length;
    return [
      {
        what: `${EDITORS} editors at one row on two servers`,
        found: `${acknowledged.length} edits, ${conflicts} told to look again, ${failed} failed`,
        held: failed === 0 && acknowledged.length === EDITORS * EDITS
      },
      {
        what: 'of them lost, out of order; both servers tell the same',
        found: `${lost}, ${torn}; ${same ? 'yes' : 'no'}`,
        held: lost === 0 && torn === 0 && same
      }
    ];
  } finally {
    await stopServer(second);
  }
}
