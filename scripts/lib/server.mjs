import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { Refusal } from './say.mjs';
import { ROOT } from './setup.mjs';

export const sleep = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

const LOOPBACK = ['127.0.0.1', 'localhost', '::1'];

/** The address to serve on; refused when others could reach it. */
export function hostFromEnv() {
  const host = process.env.HOST ?? '127.0.0.1';
  if (!LOOPBACK.includes(host))
    throw new Refusal(
      `HOST=${host} is refused: there are no accounts yet, so anyone on the network could change every show. Leave HOST away to serve 127.0.0.1.`
    );
  return host === 'localhost' ? '127.0.0.1' : host;
}

/** Starts the built server and waits until it and its database answer. It ends when this process ends. */
export async function startServer({ host = '127.0.0.1', port, databaseUrl, quiet = false }) {
  const origin = `http://${host.includes(':') ? `[${host}]` : host}:${port}`;
  const child = spawn(process.execPath, [join(ROOT, 'scripts/serve.mjs')], {
    cwd: ROOT,
    stdio: ['ignore', quiet ? 'ignore' : 'inherit', 'inherit', 'ipc'],
    env: {
      ...process.env,
      NODE_ENV: 'production',
      HOST: host,
      PORT: String(port),
      ORIGIN: origin,
      BODY_SIZE_LIMIT: '1M',
      SHUTDOWN_TIMEOUT: '3',
      DATABASE_URL: databaseUrl
    }
  });
  const ended = new Promise((resolve) => child.once('exit', (code) => resolve(code ?? 1)));
  const until = Date.now() + 30_000;
  for (;;) {
    if (child.exitCode !== null) throw new Refusal('The server ended before it answered, see above.');
    const answer = await fetch(`${origin}/healthz`).catch(() => null);
    if (answer?.ok) return { child, origin, ended };
    if (Date.now() > until) throw new Refusal('The server did not answer within 30 seconds.');
    await sleep(40);
  }
}

/** Asks a server to end and waits for it. */
export async function stopServer({ child, ended }) {
  if (child.exitCode === null) child.kill('SIGTERM');
  await Promise.race([ended, sleep(4000)]);
  if (child.exitCode === null) child.kill('SIGKILL');
}
