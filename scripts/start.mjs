// npm start: everything that is needed, then the server, until Ctrl-C. Uses nothing but Node.
import { announce, dropLock, lockHolder, takeLock } from './lib/lock.mjs';
import { addressesOf, certificateFor, fingerprintOf } from './lib/certificate.mjs';
import { portFrom } from './lib/ports.mjs';
import { appDatabase } from './lib/postgres.mjs';
import { main, Refusal, say } from './lib/say.mjs';
import { checkPublicOrigin, hostAndPort, hostFromEnv, isTls, sleep, startServer, stopServer } from './lib/server.mjs';
import { checkMachine, ensureBuild, ensurePackages } from './lib/setup.mjs';

const DEFAULT_PORT = 4710;
/** What ends is started again, at once the first time and then after twice as long each time, milliseconds; after a quiet minute as if for the first time. */
const FIRST_PAUSE = 250;
const LONGEST_PAUSE = 4000;
const QUIET = 60_000;
const pauses = () => {
  let pause = 0;
  let since = Date.now();
  return async () => {
    if (Date.now() - since > QUIET) pause = 0;
    if (pause > 0) await sleep(pause);
    pause = Math.min(Math.max(pause * 2, FIRST_PAUSE), LONGEST_PAUSE);
    since = Date.now();
  };
};

await main(async () => {
  const host = hostFromEnv();
  checkPublicOrigin();
  const wanted = Number(process.env.PORT ?? DEFAULT_PORT);
  if (!Number.isInteger(wanted) || wanted < 1 || wanted > 65535)
    throw new Refusal(`PORT=${process.env.PORT} is not a port: it must be 1 to 65535.`);
  checkMachine();
  const other = takeLock();
  if (other) return pointTo(other);

  let database;
  let server;
  let stopping = false;
  const stop = async (code) => {
    if (stopping) return;
    stopping = true;
    if (server) await stopServer(server);
    database?.stop();
    dropLock();
    process.exit(code);
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stop(0));
  try {
    ensurePackages();
    database = await appDatabase();
    ensureBuild();
    const port = await portFrom(wanted);
    if (port !== wanted) say(`Port ${wanted} is taken; using ${port}.`);
    void keepUp(database, () => stopping);
    const pause = pauses();
    for (let run = 0; !stopping; run++) {
      await pause();
      if (stopping) return;
      try {
        server = await startServer({ host, port, databaseUrl: database.url });
      } catch (error) {
        // Never up yet: whoever started it has to be told. Later the database may be on its way back.
        if (run === 0) throw error;
        continue;
      }
      announce(server.origin);
      say(run === 0 ? `Guanxi is at ${server.origin}   (Ctrl-C stops it)` : 'Started again.');
      if (run === 0 && isTls(host)) await sayWhere(host, port);
      await server.ended;
      if (stopping) return;
      say('The server ended unexpectedly.');
    }
  } catch (error) {
    console.error(error instanceof Refusal ? error.message : error);
    await stop(1);
  }
});

/** Where phones find it: a code to scan, and what to compare. */
async function sayWhere(host, port) {
  const { authority } = await certificateFor(host);
  const [address = host] = addressesOf(host);
  const at = hostAndPort(address, port);
  const page = authority ? `http://${at}/trust` : `https://${at}`;
  const { toString } = await import('qrcode');
  say(`\nOn this network it is at https://${at}`);
  say(await toString(page, { type: 'terminal', small: true }));
  if (authority) say(`Scan to trust it first, at ${page}. Fingerprint, SHA-256:\n${fingerprintOf(authority)}\n`);
}

/** Looks after the private database: one that ended is started again where it was. */
async function keepUp(database, stopping) {
  const pause = pauses();
  while (!stopping()) {
    await sleep(500);
    if (stopping() || (await database.alive())) continue;
    await pause();
    if (stopping()) return;
    try {
      await database.again();
      say('The database ended unexpectedly and was started again.');
    } catch (error) {
      say(`The database is not back yet: ${error.message}`);
    }
  }
}

/** A second start says where the first is. */
async function pointTo(other) {
  for (let k = 0; k < 300 && !other.url; k++) {
    await sleep(200);
    const now = lockHolder();
    if (!now) throw new Refusal('Another start was under way and ended. Start again.');
    other = now;
  }
  say(
    other.url
      ? `Guanxi runs already, at ${other.url} (process ${other.pid}).`
      : `Another start is under way (process ${other.pid}).`
  );
}
