import { spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { readdirSync } from 'node:fs';
import { Agent, request } from 'node:http';
import { join } from 'node:path';
import { quantile } from './person.mjs';

const CLIENTS = 8;
const SECONDS = 15;
/** Left out at the start, seconds: what runs for the first time is slow. */
const WARM = 10;
/** The least share of the database's own benchmark that saving has to reach. */
const SHARE = 0.2;

const agent = new Agent({ keepAlive: true });
/** As little of a client as there can be: it shares the processors with what is measured. */
const post = (url, path, body, cookie) =>
  new Promise((done, fail) => {
    const headers = { 'content-type': 'application/json', origin: url, ...(cookie ? { cookie } : {}) };
    const asked = request(url + path, { agent, method: 'POST', headers }, (answer) => {
      let text = '';
      answer.on('data', (data) => (text += data));
      answer.on('end', () => done({ status: answer.statusCode, text, cookies: answer.headers['set-cookie'] ?? [] }));
    });
    asked.on('error', fail);
    asked.end(JSON.stringify(body));
  });

/** Edits saved a second against the database's own benchmark of simple updates, with as many clients, one after the other. */
export async function saves(copy) {
  const at = copy.databaseUrl();
  const lib = '/usr/lib/postgresql';
  const bench = readdirSync(lib).map((v) => join(lib, v, 'bin/pgbench'));
  const run = (args) => spawnSync(bench.at(-1), args, { encoding: 'utf8' });
  const made = run(['-i', '-q', '-s', '10', at]);
  if (made.status !== 0) return [{ what: 'the database’s own benchmark', found: made.stderr.slice(-200), held: false }];
  const own = run(['-N', '-n', '-c', String(CLIENTS), '-j', '2', '-T', String(SECONDS), at]);
  const perSecond = Number(/tps = ([\d.]+)/.exec(own.stdout)?.[1]);
  const times = [];
  const from = Date.now() + WARM * 1000;
  const until = from + SECONDS * 1000;
  const client = async () => {
    const made = await post(copy.url, '/api/shows', { name: 'Saves' });
    const { id } = JSON.parse(made.text);
    const cookie = made.cookies.map((c) => c.split(';')[0]).join('; ');
    const supply = randomUUID();
    let before = null;
    for (let n = 0; Date.now() < until; n++) {
      const row = { name: `Supply ${n}`, emf: 0, ohm: 0.1, dimmers: false };
      const op = before
        ? { op: 'set', table: 'supplies', id: supply, path: ['name'], from: before.name, to: row.name }
        : { op: 'add', table: 'supplies', id: supply, value: row };
      const edit = { id: randomUUID(), label: { code: 'set', subject: 'Supply' }, ops: [op] };
      const begun = performance.now();
      const sent = { base: n, edits: [{ edit, kind: 'do', of: null }] };
      const answer = await post(copy.url, `/api/shows/${id}/edits`, sent, cookie);
      if (answer.status !== 200) throw new Error(`An edit was not saved: ${answer.status} ${answer.text}`);
      if (Date.now() >= from) times.push(performance.now() - begun);
      before = row;
    }
  };
  await Promise.all(Array.from({ length: CLIENTS }, client));
  const saved = times.length / SECONDS;
  return [
    {
      what: `edits saved a second, ${CLIENTS} clients, against the database’s own simple updates`,
      found: `${saved.toFixed(0)} of ${perSecond.toFixed(0)}: ${(saved / perSecond).toFixed(2)}`,
      held: saved / perSecond >= SHARE
    },
    {
      what: 'an edit, 99 of 100 within',
      found: `${quantile(times, 0.99).toFixed(0)} ms`,
      held: quantile(times, 0.99) <= 100
    }
  ];
}
