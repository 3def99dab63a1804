import { spawn } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import http from 'node:http';
import https from 'node:https';
import { isIP } from 'node:net';
import { join } from 'node:path';
import { Refusal } from './say.mjs';
import { DATA, ROOT } from './setup.mjs';

export const sleep = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

/** Addresses that stand for all of this machine's own. */
export const ANY = ['0.0.0.0', '::'];

/** The address to serve on: loopback unless told otherwise. */
export function hostFromEnv() {
  const host = process.env.HOST ?? '127.0.0.1';
  if (host !== 'localhost' && isIP(host) === 0)
    throw new Refusal(
      `HOST=${host} is not an address of this machine. Leave HOST away to serve 127.0.0.1, or set HOST=0.0.0.0 to serve the network.`
    );
  return host === 'localhost' ? '127.0.0.1' : host;
}

/** PUBLIC_ORIGIN: under which name others reach it, when something in front of it (with TLS) passes requests on. */
export function checkPublicOrigin() {
  const given = process.env.PUBLIC_ORIGIN;
  if (given && !/^https?:\/\/[^/]+\/?$/.test(given))
    throw new Refusal(`PUBLIC_ORIGIN=${given} is not an address like https://shows.example.`);
}

/** Loopback needs no TLS; on a network there is none without, but where PUBLIC_ORIGIN says that something in front of it does that, or TLS=off that it has to be. */
export const isTls = (host) =>
  !['127.0.0.1', '::1', 'localhost'].includes(host) && !process.env.PUBLIC_ORIGIN && process.env.TLS !== 'off';

/** Address and port as they stand in a link. */
export const hostAndPort = (address, port) => `${address.includes(':') ? `[${address}]` : address}:${port}`;

/** Writes what nobody else may read, whole or not at all. */
export function writeForOwner(file, text) {
  writeFileSync(`${file}.new`, text, { mode: 0o600 });
  renameSync(`${file}.new`, file);
}

/** What sessions are signed with: AUTH_SECRET, which several servers on one database must share, or one of this folder's own. */
function secret() {
  const given = process.env.AUTH_SECRET;
  if (given) {
    if (given.length < 32) throw new Refusal('AUTH_SECRET is too short: 32 characters at least.');
    return given;
  }
  const file = join(DATA, 'auth-secret');
  if (!existsSync(file)) {
    mkdirSync(DATA, { recursive: true });
    writeForOwner(file, randomBytes(32).toString('base64url'));
  }
  return readFileSync(file, 'utf8');
}

/** A slow machine with other work takes its time, milliseconds. */
const PATIENCE = 120_000;

/** Starts the built server and waits until it and its database answer. It ends when this process ends. */
export async function startServer({ host = '127.0.0.1', port, databaseUrl, quiet = false }) {
  const near = ANY.includes(host) ? '127.0.0.1' : host;
  const tls = isTls(host);
  const origin = `${tls ? 'https' : 'http'}://${hostAndPort(near, port)}`;
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
      // The head of a request comes at once or from nobody who means it.
      HEADERS_TIMEOUT: process.env.HEADERS_TIMEOUT ?? '20',
      DATABASE_URL: databaseUrl,
      AUTH_SECRET: secret(),
      SERVED_OVER: tls ? 'https' : 'http'
    }
  });
  const ended = new Promise((resolve) => child.once('exit', (code) => resolve(code ?? 1)));
  const until = Date.now() + PATIENCE;
  for (;;) {
    if (child.exitCode !== null) throw new Refusal('The server ended before it answered, see above.');
    if (await isUp(`${origin}/healthz`)) return { child, origin, ended };
    if (Date.now() > until) throw new Refusal(`The server did not answer within ${PATIENCE / 1000} seconds.`);
    await sleep(40);
  }
}

/** Whether a server answers. Whose its certificate is does not matter: it is this machine's own. */
const isUp = (url) =>
  new Promise((done) => {
    const asked = (url.startsWith('https:') ? https : http).get(
      url,
      { rejectUnauthorized: false, agent: false },
      (answer) => {
        answer.resume();
        done(answer.statusCode === 200);
      }
    );
    asked.on('error', () => done(false));
  });

/** Asks a server to end and waits for it. */
export async function stopServer({ child, ended }) {
  if (child.exitCode === null) child.kill('SIGTERM');
  await Promise.race([ended, sleep(4000)]);
  if (child.exitCode === null) child.kill('SIGKILL');
}
