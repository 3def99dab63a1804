import { randomUUID } from 'node:crypto';
import { Editor } from './editor.mjs';
import { Person, quantile } from './person.mjs';

/** How long, minutes; `MINUTES=1 npm run attack -- mixed` for a shorter look. */
const MINUTES = Number(process.env.MINUTES ?? 10);
/** Left out at the start, seconds: what runs for the first time is slow. */
const WARM = 10;
/** Who is at work, how many of each, and how often each does it, milliseconds. */
const WORK = {
  edits: { many: 6, every: 100 },
  readings: { many: 10, every: 1000 },
  ticks: { many: 5, every: 2000 },
  kit: { many: 2, every: 3000 },
  shows: { many: 6, every: 2000 },
  boards: { many: 4, every: 3000 },
  paper: { many: 1, every: 15_000 }
};
/** Browsers that listen to a show. */
const FEEDS = 20;

/**
 * An evening of several crews at once, ten minutes of it: sliders, phones in the line check, ticks, kit, boards that are opened, feeds that stay open, paper.
 * @param show id of the show that is read, opened and printed
 * @returns rows of the table: how long whatever is saved, and whatever is read, takes at most, 99 times of 100
 */
export async function mixed(copy, show) {
  const { url } = copy;
  const person = new Person(url);
  const at = `/api/shows/${show}`;
  const from = Date.now() + WARM * 1000;
  const until = from + MINUTES * 60_000;
  const times = {};
  const failed = [];
  const lines = Object.keys((await person.send('GET', at)).json().plan.lines);
  const one = (k) => lines[k % lines.length];

  const told = async (kind, act) => {
    const begun = performance.now();
    const status = await act().catch((reason) => String(reason));
    if (status !== 200) failed.push(`${kind}: ${status}`);
    else if (Date.now() >= from) (times[kind] ??= []).push(performance.now() - begun);
  };
  const sent = (...call) =>
    person.send(...call).then(({ status, text }) => (status === 200 ? 200 : `${status} ${text}`));
  /** What each of a kind does once; `k` tells which of them, `n` how often before. */
  const acts = {
    edits: () => {
      const editors = Array.from({ length: WORK.edits.many }, () => Editor.begin(url));
      return async (k) => {
        const editor = await editors[k];
        await editor.send([editor.edit()]);
        return 200;
      };
    },
    readings: () => (k, n) => {
      const reading = {
        id: randomUUID(),
        lineId: one(k),
        at: new Date().toISOString(),
        gainDb: n % 40,
        practice: false
      };
      return sent('POST', `${at}/readings`, { readings: [reading] });
    },
    ticks: () => (k, n) => sent('PUT', `${at}/ticks`, { key: `load ${one(k)}`, on: n % 2 === 0 }),
    kit: () => {
      const before = new Map();
      return async (k, n) => {
        const id = `mixed-${k}`;
        const to = { kind: 'battery', name: `Of ${k}`, count: 1 + (n % 9), condition: 'works', place: '', note: '' };
        const change = { id, from: before.get(id) ?? null, to };
        const answer = await sent('POST', '/api/kit', { changes: [change] });
        if (answer === 200) before.set(id, to);
        return answer;
      };
    },
    shows: () => () => sent('GET', '/'),
    boards: () => (k) => sent('GET', k % 2 === 0 ? `/show/${show}` : at),
    paper: () => () => sent('GET', `${at}/paper/all.pdf`, undefined, { patience: 60_000 })
  };
  const listening = new AbortController();
  const feeds = Array.from({ length: FEEDS }, async () => {
    const answer = await fetch(`${url}${at}/live`, { signal: listening.signal });
    let heard = 0;
    try {
      for await (const some of answer.body) heard += some.length;
    } catch {
      // Put away at the end.
    }
    return heard;
  });
  await Promise.all(
    Object.entries(WORK).map(async ([kind, { many, every }]) => {
      const act = acts[kind]();
      await Promise.all(
        Array.from({ length: many }, async (_, k) => {
          await new Promise((go) => setTimeout(go, (every * k) / many));
          for (let n = 0; Date.now() < until; n++) {
            const due = performance.now() + every;
            await told(kind, () => act(k, n));
            await new Promise((go) => setTimeout(go, Math.max(0, due - performance.now())));
          }
        })
      );
    })
  );
  listening.abort();
  const deaf = (await Promise.all(feeds)).filter((bytes) => bytes === 0).length;
  const share = (list) => quantile(list, 0.99) ?? Infinity;
  const of = (kinds) => kinds.flatMap((kind) => times[kind] ?? []);
  const row = (what, kinds, most) => ({
    what: `${MINUTES} minutes of mixed load, ${what}: 99 of 100 within`,
    found: `${share(of(kinds)).toFixed(0)} ms (${kinds.map((k) => `${k} ${times[k]?.length ?? 0}: ${share(times[k] ?? []).toFixed(0)}`).join(', ')})`,
    held: share(of(kinds)) <= most
  });
  return [
    row('what is saved', ['edits', 'readings', 'ticks', 'kit'], 100),
    row('what is opened', ['shows', 'boards'], 200),
    row('all paper of the demo', ['paper'], 3000),
    {
      what: `  calls that failed; of ${FEEDS} feeds heard nothing`,
      found: `${failed.length}, ${deaf} ${failed.slice(0, 2).join('; ').slice(0, 200)}`,
      held: failed.length === 0 && deaf === 0
    }
  ];
}
