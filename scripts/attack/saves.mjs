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
/** Edits in one message, at most; as in the browser. */
const MOST = 50;
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

/** An editor of a show of its own: makes edits of one name, and sends them as the browser does. */
class Editor {
  #base = 0;
  #made = 0;
  #before = null;
  #supply = randomUUID();
  constructor(url, show, cookie) {
    Object.assign(this, { url, show, cookie });
  }
  static async begin(url) {
    const made = await post(url, '/api/shows', { name: 'Saves' });
    return new Editor(url, JSON.parse(made.text).id, made.cookies.map((c) => c.split(';')[0]).join('; '));
  }
  edit() {
    const row = { name: `Supply ${this.#made++}`, emf: 0, ohm: 0.1, dimmers: false };
    const op = this.#before
      ? { op: 'set', table: 'supplies', id: this.#supply, path: ['name'], from: this.#before.name, to: row.name }
      : { op: 'add', table: 'supplies', id: this.#supply, value: row };
    this.#before = row;
    return { id: randomUUID(), label: { code: 'set', subject: 'Supply' }, ops: [op] };
  }
  async send(edits) {
    const body = { base: this.#base, edits: edits.map((edit) => ({ edit, kind: 'do', of: null })) };
    const answer = await post(this.url, `/api/shows/${this.show}/edits`, body, this.cookie);
    if (answer.status !== 200) throw new Error(`An edit was not saved: ${answer.status} ${answer.text}`);
    this.#base += edits.length;
  }
}

/** Each edit by itself, the next when it is answered. @returns how long each took, ms */
async function oneByOne(editors) {
  const times = [];
  const from = Date.now() + WARM * 1000;
  await Promise.all(
    editors.map(async (editor) => {
      while (Date.now() < from + SECONDS * 1000) {
        const begun = performance.now();
        await editor.send([editor.edit()]);
        if (Date.now() >= from) times.push(performance.now() - begun);
      }
    })
  );
  return times;
}

/** Edits made at a steady pace, as by a hand on a slider: what is made while a message is on its way goes with the next, as in the browser. */
async function asMade(editors, perSecond) {
  const times = [];
  const from = Date.now() + WARM * 1000;
  const until = from + SECONDS * 1000;
  await Promise.all(
    editors.map(async (editor) => {
      const begun = performance.now();
      let made = 0;
      while (Date.now() < until) {
        const due = Math.floor(((performance.now() - begun) / 1000) * (perSecond / editors.length));
        if (due <= made) {
          await new Promise((done) => setTimeout(done, 2));
          continue;
        }
        const some = Array.from({ length: Math.min(due - made, MOST) }, (_, k) => ({
          edit: editor.edit(),
          at: begun + ((made + k + 1) * 1000 * editors.length) / perSecond
        }));
        made += some.length;
        await editor.send(some.map(({ edit }) => edit));
        if (Date.now() >= from) for (const { at } of some) times.push(performance.now() - at);
      }
    })
  );
  return times;
}

/** Edits saved a second against the database’s own benchmark of simple updates, with as many clients. */
export async function saves(copy) {
  const at = copy.databaseUrl();
  const lib = '/usr/lib/postgresql';
  const bench = readdirSync(lib).map((v) => join(lib, v, 'bin/pgbench'));
  const run = (args) => spawnSync(bench.at(-1), args, { encoding: 'utf8' });
  const made = run(['-i', '-q', '-s', '10', at]);
  if (made.status !== 0) return [{ what: 'the database’s own benchmark', found: made.stderr.slice(-200), held: false }];
  const own = run(['-N', '-n', '-c', String(CLIENTS), '-j', '2', '-T', String(SECONDS), at]);
  const perSecond = Number(/tps = ([\d.]+)/.exec(own.stdout)?.[1]);
  const editors = await Promise.all(Array.from({ length: CLIENTS }, () => Editor.begin(copy.url)));
  const rows = [];
  const told = (how, times, share) => {
    const saved = times.length / SECONDS;
    rows.push(
      {
        what: `edits saved a second, ${CLIENTS} clients, ${how}, against the database’s own simple updates`,
        found: `${saved.toFixed(0)} of ${perSecond.toFixed(0)}: ${(saved / perSecond).toFixed(2)}`,
        held: saved / perSecond >= share
      },
      {
        what: `an edit ${how}, 99 of 100 within`,
        found: `${quantile(times, 0.99).toFixed(0)} ms`,
        held: quantile(times, 0.99) <= 100
      }
    );
  };
  // Each edit waits for its answer here, as no page does: told beside it, for what a message costs.
  told('one by one', await oneByOne(editors), 0);
  told('as the browser sends them', await asMade(editors, perSecond * SHARE * 1.1), SHARE);
  return rows;
}
