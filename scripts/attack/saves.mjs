import { spawnSync } from 'node:child_process';
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { Editor } from './editor.mjs';
import { quantile } from './person.mjs';

const CLIENTS = 8;
const SECONDS = 15;
/** Left out at the start, seconds: what runs for the first time is slow. */
const WARM = 10;
/** Edits in one message, at most; as in the browser. */
const MOST = 50;
/** The least share of the database's own benchmark that saving has to reach. */
const SHARE = 0.2;

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
