import { randomUUID } from 'node:crypto';
import { sleep } from '../lib/server.mjs';

/** Writers at once. */
const WRITERS = 200;

/**
 * Server and database killed in turn, again and again, while many write.
 * @returns rows of the table: what was acknowledged, what of it was lost, how long it took until writes went on
 */
export async function kills(copy, rounds) {
  const { url } = copy;
  const post = (path, body) =>
    fetch(url + path, {
      method: 'POST',
      headers: { 'content-type': 'application/json', origin: url },
      body: JSON.stringify(body),
      signal: AbortSignal.timeout(15_000)
    });
  const shows = [];
  for (let k = 0; k < 10; k++) shows.push((await (await post('/api/shows', { name: `Show ${k}` })).json()).id);
  const acknowledged = new Set();
  const statuses = new Map();
  let stop = false;
  let lastTaken = Date.now();
  const writer = async (k) => {
    const show = shows[k % shows.length];
    while (!stop) {
      const reading = { id: randomUUID(), lineId: 'x', at: new Date().toISOString(), gainDb: 1, practice: false };
      const answer = await post(`/api/shows/${show}/readings`, { readings: [reading] }).catch(() => null);
      const status = answer?.status ?? 'none';
      statuses.set(status, (statuses.get(status) ?? 0) + 1);
      await answer?.text().catch(() => undefined);
      if (answer?.ok) {
        acknowledged.add(reading.id);
        lastTaken = Date.now();
      } else await sleep(100 + Math.random() * 200);
      await sleep(20);
    }
  };
  const writers = Array.from({ length: WRITERS }, (_, k) => writer(k));
  const back = { server: [], database: [] };
  for (let round = 0; round < rounds; round++) {
    await sleep(800);
    const what = round % 2 === 0 ? 'database' : 'server';
    const pid = copy[what]();
    if (pid) process.kill(pid, 'SIGKILL');
    const killed = Date.now();
    while (lastTaken < killed + 50 && Date.now() - killed < 60_000) await sleep(20);
    back[what].push(Date.now() - killed);
  }
  stop = true;
  await Promise.all(writers);
  for (let k = 0; k < 100 && !(await copy.healthy()); k++) await sleep(200);
  const lost = await lostOf(copy, acknowledged);
  const within = (what) => ({
    what: `writes go on after the ${what} was killed, at the latest`,
    found: back[what].length > 0 ? `${(Math.max(...back[what]) / 1000).toFixed(1)} s` : '–',
    held: back[what].every((ms) => ms <= 10_000)
  });
  return [
    { what: 'kill -9, rounds of each', found: String(Math.floor(rounds / 2)), held: true },
    { what: 'readings acknowledged, of them lost', found: `${acknowledged.size}, ${lost}`, held: lost === 0 },
    within('database'),
    within('server'),
    { what: 'answers', found: [...statuses].map(([s, n]) => `${s}: ${n}`).join(', '), held: !statuses.has(500) }
  ];
}

/** How many of the acknowledged the database has not: asked of the database itself. */
async function lostOf(copy, acknowledged) {
  const there = new Set(await copy.readingIds());
  return [...acknowledged].filter((id) => !there.has(id)).length;
}
