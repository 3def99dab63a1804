// npm start: everything that is needed, then the server, until Ctrl-C. Uses nothing but Node.
import { announce, dropLock, lockHolder, takeLock } from './lib/lock.mjs';
import { portFrom } from './lib/ports.mjs';
import { appDatabase } from './lib/postgres.mjs';
import { main, Refusal, say } from './lib/say.mjs';
import { checkPublicOrigin, hostFromEnv, sleep, startServer, stopServer } from './lib/server.mjs';
import { checkMachine, ensureBuild, ensurePackages } from './lib/setup.mjs';

const DEFAULT_PORT = 4710;
/** A server that dies is started again, but not for ever. */
const RESTARTS = 3;

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
    for (let run = 0; !stopping; run++) {
      server = await startServer({ host, port, databaseUrl: database.url });
      announce(server.origin);
      say(run === 0 ? `Guanxi is at ${server.origin}   (Ctrl-C stops it)` : 'Started again.');
      await server.ended;
      if (stopping) return;
      if (run >= RESTARTS) throw new Refusal('The server keeps ending; see the messages above.');
      say('The server ended unexpectedly.');
    }
  } catch (error) {
    console.error(error instanceof Refusal ? error.message : error);
    await stop(1);
  }
});

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
