import { beside, quantile } from './person.mjs';

/** How long a server is left alone first, milliseconds. */
const RUN_IN = 15_000;

/** A plan with its rows so many times over. Rows refer to one another by id, which is written nowhere else. */
function times(plan, n) {
  const ids = new Set(['supplies', 'hosts', 'devices', 'cables', 'lines'].flatMap((t) => Object.keys(plan[t] ?? {})));
  const renamed = (node, k) => {
    if (typeof node === 'string') return ids.has(node) ? `${node}-${k}` : node;
    if (Array.isArray(node)) return node.map((x) => renamed(x, k));
    if (!node || typeof node !== 'object') return node;
    return Object.fromEntries(
      Object.entries(node).map(([key, x]) => [ids.has(key) ? `${key}-${k}` : key, renamed(x, k)])
    );
  };
  const made = { ...plan, devices: {}, cables: {}, lines: {}, touches: {} };
  for (let k = 0; k < n; k++)
    for (const table of ['devices', 'cables', 'lines'])
      for (const [id, row] of Object.entries(plan[table] ?? {})) {
        const copy = renamed({ [id]: row }, k);
        const [[name, value]] = Object.entries(copy);
        // Supplies and desks stay one.
        if (value.host) value.host = row.host;
        if (value.supply) value.supply = row.supply;
        delete value.channel;
        made[table][name] = value;
      }
  return made;
}

/** All paper of large shows, while somebody else goes on working. */
export async function paper(person, show) {
  const file = JSON.parse((await person.send('GET', `/api/shows/${show}/plan`)).text);
  const lines = Object.keys(file.plan.lines).length;
  // A server that has just begun runs its threads in; whoever asks meanwhile waits for that, which is not what is asked here.
  await new Promise((go) => setTimeout(go, RUN_IN));
  const rows = [];
  for (const [n, most] of [
    [60, 3000],
    [240, 8000]
  ]) {
    const sent = { ...file, plan: times(file.plan, Math.ceil(n / lines)) };
    const made = await person.send('POST', '/api/import', sent, { patience: 60_000 });
    if (made.status !== 201) return [{ what: `paper of ${n} lines`, found: made.text.slice(0, 200), held: false }];
    const { id } = made.json();
    const [answer, waits, failed] = await beside(person, `/api/shows/${show}`, () =>
      person.send('GET', `/api/shows/${id}/paper/all.pdf`, undefined, { patience: 100_000 })
    );
    rows.push(
      {
        what: `all paper of ${n} lines`,
        found: answer.status === 200 ? `${(answer.ms / 1000).toFixed(1)} s` : `${answer.status}`,
        held: answer.status === 200 && answer.ms <= most
      },
      {
        what: 'others beside it, 99 of 100 within',
        found: `${quantile(waits, 0.99).toFixed(0)} ms`,
        held: failed === 0 && quantile(waits, 0.99) <= 200
      }
    );
  }
  return rows;
}
