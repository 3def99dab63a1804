import { createHash } from 'node:crypto';

/** Somebody with a browser: keeps the cookies that a server gives. */
export class Person {
  #cookies = new Map();
  constructor(url, name = 'stranger') {
    this.url = url;
    this.name = name;
  }
  /** @returns the answer, its text read unless it is a stream of events; status 0 where none came within `patience` milliseconds */
  async send(method, path, body, { patience = 15_000, headers = {} } = {}) {
    const begun = performance.now();
    try {
      const answer = await fetch(this.url + path, {
        method,
        redirect: 'manual',
        signal: AbortSignal.timeout(patience),
        headers: {
          origin: this.url,
          cookie: [...this.#cookies].map(([k, v]) => `${k}=${v}`).join('; '),
          ...(body === undefined ? {} : { 'content-type': 'application/json' }),
          ...headers
        },
        body: body === undefined ? undefined : typeof body === 'string' ? body : JSON.stringify(body)
      });
      for (const line of answer.headers.getSetCookie()) {
        const [, name, value] = /^([^=]+)=([^;]*)/.exec(line);
        this.#cookies.set(name, value);
      }
      const stream = answer.headers.get('content-type')?.startsWith('text/event-stream');
      const text = stream ? '' : await answer.text();
      if (stream) await answer.body.cancel();
      return { status: answer.status, text, json: () => JSON.parse(text), ms: performance.now() - begun };
    } catch (error) {
      return { status: 0, text: String(error), json: () => null, ms: performance.now() - begun };
    }
  }
  /** Makes an account by an invitation. */
  async join(token) {
    const email = `${this.name}@example.org`;
    const made = await this.send('POST', '/api/auth/sign-up/email', {
      name: this.name,
      email,
      password: PASSWORD,
      invite: token
    });
    const taken = await this.send('POST', '/api/crew/accept', { token });
    if (made.status !== 200 || taken.status !== 200)
      throw new Error(`${this.name} did not get in: ${made.status} ${made.text}, ${taken.status} ${taken.text}`);
    return this;
  }
  async invite(role) {
    return (await this.send('POST', '/api/crew/invites', { role })).json().token;
  }
}
const PASSWORD = 'rope and tallow';

/** Milliseconds that a share of the calls stayed under. */
export const quantile = (list, q) =>
  [...list].sort((a, b) => a - b)[Math.min(list.length - 1, Math.floor(q * list.length))];

/** How long others wait, asking again and again while something runs. @returns [what it gave, milliseconds of each call, how many failed] */
export async function beside(person, path, work, pause = 15) {
  const times = [];
  let failed = 0;
  let on = true;
  const asking = (async () => {
    while (on) {
      const { status, ms } = await person.send('GET', path);
      if (status === 200) times.push(ms);
      else failed++;
      await new Promise((go) => setTimeout(go, pause));
    }
  })();
  const given = await work();
  on = false;
  await asking;
  return [given, times, failed];
}

/** Numbers in a row that are the same for the same seed: 0 to just under 1. */
export function numbers(seed) {
  let k = 0;
  return () => createHash('sha256').update(`${seed}/${k++}`).digest().readUInt32BE(0) / 2 ** 32;
}
