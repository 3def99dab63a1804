// The server process. It must not outlive the command that started it, however that one ends.
import { certificateFor } from './lib/certificate.mjs';
import { serveTls } from './lib/tls-server.mjs';

process.on('disconnect', () => process.kill(process.pid, 'SIGTERM'));
// The channel alone must not keep a server alive that has closed everything else.
process.channel?.unref();
// A picture over a poor network takes its time; what takes longer than this sends nothing, and is closed.
const requestTimeout = 1000 * Number(process.env.REQUEST_TIMEOUT ?? 120);
// A connection that stands idle is kept for longer than people pause: one that is closed at the moment it is used again costs them a call that fails.
const keepAliveTimeout = 65_000;
const host = process.env.HOST ?? '127.0.0.1';

// Whoever starts it has decided: see lib/server.
if (process.env.SERVED_OVER === 'https') {
  const { handler } = await import('../build/handler.js');
  const server = await serveTls(handler, await certificateFor(host), {
    host,
    port: Number(process.env.PORT),
    headersTimeout: 1000 * Number(process.env.HEADERS_TIMEOUT ?? 20),
    requestTimeout,
    keepAliveTimeout
  });
  let ending = false;
  const end = (reason) => {
    if (ending) return;
    ending = true;
    server.close(() => process.emit('sveltekit:shutdown', reason));
    setTimeout(() => server.closeAllConnections(), 1000 * Number(process.env.SHUTDOWN_TIMEOUT ?? 3)).unref();
  };
  for (const signal of ['SIGTERM', 'SIGINT']) process.on(signal, () => end(signal));
} else {
  const { server } = await import('../build/index.js');
  Object.assign(server.server, { requestTimeout, keepAliveTimeout });
}
