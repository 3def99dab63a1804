import { test as plain, expect } from '@playwright/test';
import { type ChildProcess, execFileSync, spawn } from 'node:child_process';
import {
  chmodSync,
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  rmSync,
  symlinkSync,
  writeFileSync
} from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freePort } from '../scripts/lib/ports.mjs';

/** npm start in a copy of this folder: packages and build come along, the database is its own. */
const HERE = process.cwd();
let root: string;
const running: ChildProcess[] = [];

plain.beforeAll(() => {
  root = mkdtempSync(join(tmpdir(), 'start-'));
  chmodSync(root, 0o755);
  for (const part of [
    'scripts',
    'build',
    'drizzle',
    'src',
    'core',
    'static',
    'package.json',
    'package-lock.json',
    'svelte.config.js',
    'vite.config.ts'
  ])
    cpSync(join(HERE, part), join(root, part), { recursive: true, preserveTimestamps: true });
  symlinkSync(join(HERE, 'node_modules'), join(root, 'node_modules'));
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
function start(env: Record<string, string> = {}): Started {
  const child = spawn(process.execPath, ['scripts/start.mjs'], {
    cwd: root,
    env: { ...process.env, DATABASE_URL: '', ...env }
  });
  running.push(child);
  let text = '';
  for (const stream of [child.stdout!, child.stderr!]) stream.on('data', (data: Buffer) => (text += data.toString()));
  return {
    child,
    out: () => text,
    until: async (pattern) => {
      await expect.poll(() => text, { timeout: 50_000 }).toMatch(pattern);
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
  stopCluster();
  await expect.poll(() => healthy(url)).toBe(false);
  const page = await fetch(url, { headers: { accept: 'text/html' } });
  expect(page.status).toBe(500);
  const id = /log as <span[^>]*>([0-9a-f]{8})</.exec(await page.text())![1];
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

plain('refuses to be reached by others, and a port that is none, in one sentence', async () => {
  for (const [env, words] of [
    [{ HOST: '0.0.0.0' }, /^HOST=0\.0\.0\.0 is refused: there are no accounts yet/],
    [{ PORT: '99999' }, /^PORT=99999 is not a port/]
  ] as const) {
    const refused = start(env);
    await exited(refused.child);
    expect(refused.child.exitCode).toBe(1);
    expect(refused.out().trim()).toMatch(words);
    expect(refused.out().trim().split('\n').length).toBe(1);
  }
});
