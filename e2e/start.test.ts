import { test as plain, expect } from '@playwright/test';
import { type ChildProcess, execFileSync, spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer as createProxy, request } from 'node:http';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { copyFolder } from '../scripts/lib/copy-folder.mjs';
import { freePort } from '../scripts/lib/ports.mjs';

/** npm start in a copy of this folder: packages and build come along, the database is its own. */
let root: string;
const running: ChildProcess[] = [];

plain.beforeAll(() => {
  root = copyFolder('start-');
});
plain.afterAll(async () => {
  for (const child of running) await end(child);
  stopCluster();
  rmSync(root, { recursive: true, force: true });
});

interface Started {
  child: ChildProcess;
  out: () => string;
  until: (text: RegExp) => Promise<RegExpExecArray>;
}
function start(env: Record<string, string> = {}, cwd = root): Started {
  const child = spawn(process.execPath, ['scripts/start.mjs'], {
    cwd,
    env: { ...process.env, DATABASE_URL: '', ...env }
  });
  running.push(child);
  let text = '';
  for (const stream of [child.stdout!, child.stderr!]) stream.on('data', (data: Buffer) => (text += data.toString()));
  return {
    child,
    out: () => text,
    until: async (pattern) => {
      await expect.poll(() => text, { timeout: 200_000 }).toMatch(pattern);
      return pattern.exec(text)!;
    }
  };
}
const exited = (child: ChildProcess) =>
  child.exitCode !== null || child.signalCode !== null
    ? Promise.resolve()
    : new Promise((resolve) => child.once('exit', resolve));
async function end(child: ChildProcess): Promise<void> {
  child.kill('SIGINT');
  await exited(child);
}
const AT = /Guanxi is at (http:\/\/127\.0\.0\.1:(\d+))/;
const poster = (url: string) => (to: string, body: unknown) =>
  fetch(`${url}${to}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: url },
    body: JSON.stringify(body)
  });
const healthy = async (url: string) => (await fetch(`${url}/healthz`).catch(() => null))?.status === 200;

/** Data directory of the copy's cluster, wherever it had to be put. */
const postmaster = (): number | null => {
  const file = join(root, '.data/pg/data/postmaster.pid');
  return existsSync(file) ? Number(readFileSync(file, 'utf8').split('\n')[0]) : null;
};
function stopCluster(): void {
  const pid = postmaster();
  if (pid) execFileSync('sh', ['-c', `kill -INT ${pid} 2>/dev/null || true`]);
}

plain('starts, says where it is to a second start, stops everything on Ctrl-C', async () => {
  const port = (await freePort()) as number;
  const first = start({ PORT: String(port) });
  const [, url] = await first.until(AT);
  expect(url).toBe(`http://127.0.0.1:${port}`);
  expect(await healthy(url)).toBe(true);
  expect(await (await fetch(url)).text()).toContain('The Salt Road');
  const second = start();
  await exited(second.child);
  expect(second.out()).toContain(`runs already, at ${url}`);
  expect(postmaster()).not.toBeNull();
  await end(first.child);
  expect(await healthy(url)).toBe(false);
  expect(postmaster()).toBeNull();
});

plain('a killed start leaves a server that ends itself, and the next start takes over', async () => {
  const first = start({ PORT: String(await freePort()) });
  const [, url] = await first.until(AT);
  first.child.kill('SIGKILL');
  await expect.poll(() => healthy(url)).toBe(false);
  const second = start({ PORT: String(await freePort()) });
  const [, again] = await second.until(AT);
  expect(await healthy(again)).toBe(true);
  await end(second.child);
});

plain('a killed server is started again', async () => {
  const first = start({ PORT: String(await freePort()) });
  const [, url] = await first.until(AT);
  const server = execFileSync('pgrep', ['-P', String(first.child.pid), '-f', 'serve.mjs'], { encoding: 'utf8' }).trim();
  process.kill(Number(server), 'SIGKILL');
  await first.until(/Started again/);
  expect(await healthy(url)).toBe(true);
  // With the database gone the page says so, under an id that the log has too.
  process.kill(postmaster()!, 'SIGKILL');
  let page = '';
  const ask = async (): Promise<number> => {
    const answer = await fetch(url, { headers: { accept: 'text/html' } });
    page = await answer.text();
    return answer.status;
  };
  await expect.poll(ask, { intervals: [5] }).toBe(503);
  const id = /log as <span[^>]*>([0-9a-f]{8})</.exec(page)![1];
  expect(first.out()).toContain(`"id":"${id}"`);
  await end(first.child);
});

plain('survives a half-made database, a stale lock and a taken port', async () => {
  rmSync(join(root, '.data'), { recursive: true, force: true });
  mkdirSync(join(root, '.data/pg/data.half/base'), { recursive: true });
  writeFileSync(join(root, '.data/start.lock'), '{"pid":');
  const blocker = createServer();
  const port = await new Promise<number>((resolve) =>
    blocker.listen(0, '127.0.0.1', () => resolve((blocker.address() as { port: number }).port))
  );
  const first = start({ PORT: String(port) });
  const [, url] = await first.until(AT);
  expect(first.out()).toContain(`Port ${port} is taken; using `);
  expect(await healthy(url)).toBe(true);
  await end(first.child);
  blocker.close();
});

plain('where others reach it, it prints the one invitation there is; at this machine it says who is in', async () => {
  const open = start({ PORT: String(await freePort()) });
  await open.until(AT);
  expect(open.out()).toContain('everybody at this machine is in without a password');
  await end(open.child);
  // Loopback too, but a name of its own: as a network's address would be.
  const secure = start({ HOST: '127.0.0.2', PORT: String(await freePort()) });
  await secure.until(/Guanxi is at https:\/\/127\.0\.0\.2/);
  await secure.until(
    /Scan to trust it first, at http:\/\/127\.0\.0\.2:\d+\/trust\. Fingerprint, SHA-256:\n([0-9A-F]{2}:){31}[0-9A-F]{2}/
  );
  await end(secure.child);
  const reached = start({ HOST: '127.0.0.2', TLS: 'off', PORT: String(await freePort()) });
  const [, at] = await reached.until(/The first one is made at {2}(http:\/\/127\.0\.0\.2:\d+\/invite\/\S+)/);
  await reached.until(/Guanxi is at http:\/\/127\.0\.0\.2/);
  expect(await (await fetch(at)).text()).toContain('Join Rope Works');
  expect((await fetch(new URL('/api/kit', at))).status).toBe(401);
  // A password that is forgotten is set anew by whoever has the machine.
  const send = (to: string, body: object) =>
    fetch(new URL(to, at), {
      method: 'POST',
      headers: { 'content-type': 'application/json', origin: new URL(at).origin },
      body: JSON.stringify(body)
    });
  const who = { name: 'Mira', email: 'mira@example.org', password: 'rope and tallow' };
  expect((await send('/api/auth/sign-up/email', { ...who, invite: at.split('/').pop() })).status).toBe(200);
  const reset = (email: string) =>
    spawnSync(process.execPath, ['scripts/reset-password.mjs', email], {
      cwd: root,
      env: { ...process.env, DATABASE_URL: '' },
      encoding: 'utf8'
    });
  expect(reset('nobody@example.org').stderr).toContain('Nobody has an account as nobody@example.org');
  const [, token] = /ADDRESS\/reset\/(\S+)/.exec(reset(who.email).stdout)!;
  expect((await send('/api/auth/reset-password', { newPassword: 'tallow and rope', token })).status).toBe(200);
  expect((await send('/api/auth/reset-password', { newPassword: 'and once again', token })).status).toBe(400);
  expect((await send('/api/auth/sign-in/email', who)).status).toBe(401);
  expect((await send('/api/auth/sign-in/email', { ...who, password: 'tallow and rope' })).status).toBe(200);
  await end(reached.child);
  // The tests behind this one find an open demo again.
  rmSync(join(root, '.data'), { recursive: true, force: true });
});

plain('refuses an address and a port that are none, in one sentence', async () => {
  for (const [env, words] of [
    [{ HOST: 'upstairs' }, /^HOST=upstairs is not an address of this machine/],
    [{ PORT: '99999' }, /^PORT=99999 is not a port/]
  ] as const) {
    const refused = start(env);
    await exited(refused.child);
    expect(refused.child.exitCode).toBe(1);
    expect(refused.out().trim()).toMatch(words);
    expect(refused.out().trim().split('\n').length).toBe(1);
  }
});

plain('a backup holds everything and comes back whole; a file that is none changes nothing', async () => {
  const run = (script: string, ...args: string[]): { code: number | null; out: string } => {
    const done = spawnSync(process.execPath, [`scripts/${script}.mjs`, ...args], {
      cwd: root,
      env: { ...process.env, DATABASE_URL: '' },
      encoding: 'utf8'
    });
    return { code: done.status, out: `${done.stdout}${done.stderr}` };
  };
  const file = join(root, 'evening.backup');
  const first = start({ PORT: String(await freePort()) });
  const [, url] = await first.until(AT);
  const post = poster(url);
  const { id } = (await (await post('/api/shows', { name: 'Kept for ever' })).json()) as { id: string };
  const reading = { lineId: 'x', at: new Date().toISOString(), gainDb: 1, hum: null, content: null, done: true };
  await post(`/api/shows/${id}/readings`, {
    readings: [{ ...reading, id: crypto.randomUUID(), note: 'as it was', practice: false }]
  });
  // While it runs, and without stopping it.
  const made = run('backup', file);
  expect(made.out).toMatch(/\d+ shows, \d+ edits, \d+ readings, .* Read back whole/);
  expect(await healthy(url)).toBe(true);
  expect(run('backup', file).out).toContain('is there already');
  expect(run('restore', file).out).toContain('Stop it first');
  await fetch(`${url}/api/shows/${id}`, { method: 'DELETE', headers: { origin: url } });
  await post('/api/shows', { name: 'Came later' });
  await end(first.child);

  writeFileSync(join(root, 'none.backup'), 'not a backup at all');
  expect(run('restore', join(root, 'none.backup'))).toMatchObject({ code: 1 });
  // One bit, anywhere: in the head, at the beginning of what the database wrote, in its middle, at its end.
  const whole = readFileSync(file);
  for (const at of [3, 40, 90, Math.floor(whole.length / 2), whole.length - 1]) {
    const bad = Buffer.from(whole);
    bad[at] ^= 1;
    writeFileSync(join(root, 'bad.backup'), bad);
    const told = run('restore', join(root, 'bad.backup'));
    expect([at, told.code, /damaged|no backup/.test(told.out)]).toEqual([at, 1, true]);
  }
  expect(run('restore').out).toContain('Which file?');
  const back = run('restore', file);
  expect(back.out).toMatch(/are back\. What was there before is kept as guanxi_before_\d{14}/);
  expect(postmaster()).toBeNull();

  const second = start({ PORT: String(await freePort()) });
  const [, again] = await second.until(AT);
  const shows = await (await fetch(again)).text();
  expect(shows).toContain('Kept for ever');
  expect(shows).not.toContain('Came later');
  const { readings } = (await (await fetch(`${again}/api/shows/${id}/readings`)).json()) as {
    readings: { note: string }[];
  };
  expect(readings.map((r) => r.note)).toEqual(['as it was']);
  await end(second.child);
});

plain(
  'everything exported is read back into an empty server, to the same rows; what is damaged or has work is refused',
  async () => {
    const first = start({ PORT: String(await freePort()) });
    const [, url] = await first.until(AT);
    const post = poster(url);
    const { id } = (await (await post('/api/shows', { name: 'Πέρα 夜' })).json()) as { id: string };
    const op = { op: 'add', table: 'devices', id: 'd1', value: { model: 'piezo', settings: {} } };
    const edit = { id: crypto.randomUUID(), label: { code: 'set', subject: 'ő' }, ops: [op] };
    expect((await post(`/api/shows/${id}/edits`, { base: 0, edits: [{ edit, kind: 'do', of: null }] })).ok).toBe(true);
    await post(`/api/shows/${id}/print`, {});
    const jpeg = Buffer.concat([
      Buffer.from([0xff, 0xd8, 0xff]),
      Buffer.from(crypto.getRandomValues(new Uint8Array(999)))
    ]);
    const photo = await fetch(`${url}/api/shows/${id}/photos/${crypto.randomUUID()}?line=a`, {
      method: 'PUT',
      body: jpeg,
      headers: { origin: url, 'content-type': 'image/jpeg' }
    });
    expect(photo.ok).toBe(true);
    const kit = {
      id: 'k1',
      from: null,
      to: { kind: 'device', model: 'active-di', count: 2, name: '', condition: 'works', place: '', note: '' }
    };
    expect((await post('/api/kit', { changes: [kit] })).status).toBe(200);
    const told = await (await fetch(`${url}/api/export`)).text();
    const file = join(root, 'all.jsonl');
    writeFileSync(file, told);
    const read = (path: string, at: string): { code: number | null; out: string } => {
      const done = spawnSync(process.execPath, ['scripts/read-export.mjs', path], {
        cwd: at,
        env: { ...process.env, DATABASE_URL: '' },
        encoding: 'utf8'
      });
      return { code: done.status, out: `${done.stdout}${done.stderr}` };
    };
    expect(read(file, root).out).toContain('Stop it first');
    await end(first.child);
    expect(read(file, root)).toMatchObject({ code: 1, out: expect.stringContaining('work of its own') });

    const other = copyFolder('guanxi-other-');
    try {
      const second = start({ PORT: String(await freePort()) }, other);
      await second.until(AT);
      await end(second.child);
      const cut = told.slice(0, told.lastIndexOf('{'));
      for (const [text, why] of [
        [cut, 'cut short'],
        [told.replace('piezo', 'piezp'), 'damaged'],
        ['{}', 'no export'],
        ['x', 'not JSON']
      ]) {
        writeFileSync(join(root, 'bad.jsonl'), text);
        expect(read(join(root, 'bad.jsonl'), other)).toMatchObject({ code: 1, out: expect.stringContaining(why) });
      }
      expect(read(file, other)).toMatchObject({ code: 0, out: expect.stringMatching(/\d+ rows were read/) });
      const third = start({ PORT: String(await freePort()) }, other);
      const [, again] = await third.until(AT);
      const back = await (await fetch(`${again}/api/export`)).text();
      // The person whom a new server makes stays beside those who were read.
      const rows = (text: string): string[] =>
        text
          .trimEnd()
          .split('\n')
          .slice(1, -1)
          .filter((line) => !line.startsWith('{"table":"person"'));
      expect(rows(back)).toEqual(rows(told));
      await end(third.child);
    } finally {
      rmSync(other, { recursive: true, force: true });
    }
  }
);

plain('server and database killed among two hundred edits and readings: nothing acknowledged is lost', async () => {
  const first = start({ PORT: String(await freePort()) });
  const [, url] = await first.until(AT);
  const post = poster(url);
  const { id } = (await (await post('/api/shows', { name: 'Under way' })).json()) as { id: string };
  const acknowledged = { devices: new Set<string>(), readings: new Set<string>() };
  const count = (): number => acknowledged.devices.size + acknowledged.readings.size;
  const edit = async (k: number): Promise<void> => {
    const op = { op: 'add', table: 'devices', id: `d${k}`, value: { model: 'piezo', settings: {} } };
    const made = { id: crypto.randomUUID(), label: { code: 'set', subject: '' }, ops: [op] };
    const answer = await post(`/api/shows/${id}/edits`, { base: 0, edits: [{ edit: made, kind: 'do', of: null }] });
    if (!answer.ok) return;
    const { accepted } = (await answer.json()) as { accepted: string[] };
    if (accepted.includes(made.id)) acknowledged.devices.add(`d${k}`);
  };
  const read = async (): Promise<void> => {
    const reading = {
      id: crypto.randomUUID(),
      lineId: 'x',
      at: new Date().toISOString(),
      gainDb: 1,
      hum: null,
      content: null,
      done: true,
      note: '',
      practice: false
    };
    if ((await post(`/api/shows/${id}/readings`, { readings: [reading] })).ok) acknowledged.readings.add(reading.id);
  };
  const all = Array.from({ length: 100 }, (_, k) => [edit(k), read()])
    .flat()
    .map((p) => p.catch(() => undefined));
  await expect.poll(count, { intervals: [5] }).toBeGreaterThan(20);
  const server = execFileSync('pgrep', ['-P', String(first.child.pid), '-f', 'serve.mjs'], { encoding: 'utf8' }).trim();
  const database = postmaster()!;
  for (const pid of [first.child.pid!, Number(server), database]) process.kill(pid, 'SIGKILL');
  await Promise.all(all);
  // Killed in the middle: some were still under way.
  expect(count()).toBeLessThan(200);
  await exited(first.child);

  const second = start({ PORT: String(await freePort()) });
  const [, again] = await second.until(AT);
  const { plan } = (await (await fetch(`${again}/api/shows/${id}/plan`)).json()) as {
    plan: { devices: Record<string, unknown> };
  };
  const { readings } = (await (await fetch(`${again}/api/shows/${id}/readings`)).json()) as {
    readings: { id: string }[];
  };
  const there = new Set(readings.map((r) => r.id));
  expect([...acknowledged.devices].filter((d) => !(d in plan.devices))).toEqual([]);
  expect([...acknowledged.readings].filter((r) => !there.has(r))).toEqual([]);
  await end(second.child);
});

plain(
  'a killed database comes back by itself: the server stays, says 503 meanwhile, takes edits again and tells of them',
  async () => {
    const { child, until } = start({ PORT: String(await freePort()) });
    const [, url] = await until(AT);
    const post = poster(url);
    const { id } = (await (await post('/api/shows', { name: 'Under way' })).json()) as { id: string };
    const server = (): string =>
      execFileSync('pgrep', ['-P', String(child.pid), '-f', 'serve.mjs'], { encoding: 'utf8' });
    const before = server();
    for (let round = 0; round < 3; round++) {
      process.kill(postmaster()!, 'SIGKILL');
      const killed = Date.now();
      const seen = new Set<number>();
      await expect
        .poll(
          async () => {
            const answer = await post('/api/shows', { name: 'One more' });
            seen.add(answer.status);
            if (answer.status === 503) expect(answer.headers.get('retry-after')).toBe('2');
            return answer.ok;
          },
          { timeout: 20_000, intervals: [100] }
        )
        .toBe(true);
      expect(Date.now() - killed).toBeLessThan(10_000);
      // Never told as a fault of what was asked, nor as one that will stay.
      expect([...seen].filter((status) => ![200, 201, 503].includes(status))).toEqual([]);
    }
    expect(server()).toBe(before);
    // What is told to others comes through again as well.
    const heard = new AbortController();
    let told = '';
    // A stream that the server ends is opened again, as a page does.
    void (async () => {
      while (!heard.signal.aborted) {
        const feed = await fetch(`${url}/api/live`, { signal: heard.signal });
        const reader = feed.body!.pipeThrough(new TextDecoderStream()).getReader();
        for (let part = await reader.read(); !part.done; part = await reader.read()) told += part.value;
      }
    })().catch(() => undefined);
    await expect
      .poll(
        async () => {
          await fetch(`${url}/api/shows/${id}/ticks`, {
            method: 'PUT',
            headers: { 'content-type': 'application/json', origin: url },
            body: JSON.stringify({ key: 'patch/1', on: true })
          });
          return told;
        },
        { timeout: 20_000 }
      )
      .toContain('ticks');
    heard.abort();
    await end(child);
  }
);

plain(
  'behind a proxy nobody is in without an account, whatever it makes of the name; by the invitation somebody is',
  async () => {
    const port = await freePort();
    const rewritten = { on: false };
    const proxy = createProxy((asks, answers) => {
      const headers = {
        ...asks.headers,
        'x-forwarded-for': '203.0.113.9',
        ...(rewritten.on ? { host: `127.0.0.1:${port}` } : {})
      };
      const onward = request({ port, host: '127.0.0.1', path: asks.url, method: asks.method, headers }, (there) => {
        answers.writeHead(there.statusCode!, there.headers);
        there.pipe(answers);
      });
      onward.on('error', () => answers.destroy());
      asks.pipe(onward);
    });
    await new Promise<void>((resolve) => proxy.listen(0, '127.0.0.1', resolve));
    const front = (proxy.address() as { port: number }).port;
    const publicly = `http://shows.localhost:${front}`;
    rmSync(join(root, '.data'), { recursive: true, force: true });
    const { child, out } = start({ PORT: String(port), PUBLIC_ORIGIN: publicly, TRUSTED_PROXIES: '127.0.0.1' });
    await expect.poll(() => healthy(`http://127.0.0.1:${port}`), { timeout: 60_000 }).toBe(true);
    /** As a browser would ask: by the public name. */
    const ask = (path: string, body?: unknown) =>
      new Promise<{ status: number; text: string }>((resolve, reject) => {
        const headers = {
          host: `shows.localhost:${front}`,
          ...(body ? { 'content-type': 'application/json', origin: publicly } : {})
        };
        const asked = request(
          { port: front, host: '127.0.0.1', path, method: body ? 'POST' : 'GET', headers },
          (there) => {
            let text = '';
            there.on('data', (data) => (text += data));
            there.on('end', () => resolve({ status: there.statusCode!, text }));
          }
        );
        asked.on('error', reject);
        asked.end(body ? JSON.stringify(body) : undefined);
      });
    for (rewritten.on of [false, true]) {
      expect((await ask('/healthz')).status).toBe(200);
      expect((await ask('/api/kit')).status).toBe(401);
      expect((await ask('/')).status).toBe(303);
    }
    // Not even past the proxy, from this machine: the public name says that others come here.
    expect((await fetch(`http://127.0.0.1:${port}/api/kit`)).status).toBe(401);
    const [, token] = await expect
      .poll(() => out(), { timeout: 20_000 })
      .toContain(`${publicly}/invite/`)
      .then(() => /invite\/(\S+)/.exec(out())!);
    const person = { name: 'Ada', email: 'ada@example.org', password: 'tallow and rope', invite: token };
    for (rewritten.on of [true, false]) {
      const made = await ask('/api/auth/sign-up/email', {
        ...person,
        email: `${rewritten.on ? 'a' : 'b'}@example.org`
      });
      expect([rewritten.on, made.status, made.text.slice(0, 80)]).toMatchObject([rewritten.on, 200, expect.anything()]);
    }
    proxy.closeAllConnections();
    proxy.close();
    await end(child);
  }
);
