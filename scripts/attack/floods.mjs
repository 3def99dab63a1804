import { connect } from 'node:net';
import { sleep } from '../lib/server.mjs';
import { beside, Person, quantile } from './person.mjs';

const ms = (x) => `${x.toFixed(0)} ms`;
/** What others may have to wait, milliseconds, 99 of 100 times. */
const P99 = 200;

/** Guesses at passwords from very many addresses at once, told by a proxy that is trusted, while somebody who is in goes on working. */
export async function signInFlood(url, person, path, seconds = 8) {
  const [, calm] = await beside(person, path, () => sleep(3000));
  const statuses = new Map();
  const [, times, failed] = await beside(person, path, async () => {
    const until = Date.now() + seconds * 1000;
    const guess = async (k) => {
      const stranger = new Person(url);
      for (let n = 0; Date.now() < until; n++) {
        const headers = { 'x-forwarded-for': `10.${k}.${n >> 8}.${n & 255}` };
        const body = { email: 'mira@example.org', password: `guess number ${k} ${n}` };
        const { status } = await stranger.send('POST', '/api/auth/sign-in/email', body, { headers });
        statuses.set(status, (statuses.get(status) ?? 0) + 1);
      }
    };
    await Promise.all(Array.from({ length: 60 }, (_, k) => guess(k)));
  });
  const told = [...statuses].map(([s, n]) => `${s}: ${n}`).join(', ');
  return [
    { what: 'sign-ins guessed by sixty at once', found: told, held: !statuses.has(200) && !statuses.has(500) },
    {
      what: 'others beside it, 99 of 100 within',
      found: `${ms(quantile(times, 0.99))} (${ms(quantile(calm, 0.99))} in calm)`,
      held: failed === 0 && quantile(times, 0.99) <= P99
    }
  ];
}

/** Connections that send next to nothing: closed by the server, and nobody waits for them. */
export async function slowConnections(url, person, path, many = 300) {
  const { hostname, port } = new URL(url);
  const open = new Set();
  let refused = 0;
  const begun = Date.now();
  for (let k = 0; k < many; k++) {
    const socket = connect(Number(port), hostname);
    open.add(socket);
    socket.on('error', () => refused++);
    socket.on('close', () => open.delete(socket));
    // Half of them stop within the head, the other half within the body.
    const head = k % 2 === 0 ? '' : 'Content-Type: application/json\r\nContent-Length: 900\r\n\r\n{';
    socket.write(`POST /api/shows HTTP/1.1\r\nHost: ${hostname}:${port}\r\n${head}`);
    const drip = setInterval(() => socket.writable && socket.write(k % 2 === 0 ? 'X-A: b\r\n' : ' '), 2000);
    socket.on('close', () => clearInterval(drip));
  }
  const [, times, failed] = await beside(person, path, async () => {
    while (open.size > 0 && Date.now() - begun < 120_000) await sleep(250);
  });
  const left = open.size;
  for (const socket of open) socket.destroy();
  return [
    {
      what: `${many} connections that drip, all closed within`,
      found: left > 0 ? `${left} still open` : `${((Date.now() - begun) / 1000).toFixed(0)} s`,
      held: left === 0
    },
    {
      what: 'others beside them, 99 of 100 within',
      found: ms(quantile(times, 0.99)),
      held: failed === 0 && quantile(times, 0.99) <= P99
    }
  ];
}
