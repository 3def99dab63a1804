import { connect, createServer } from 'node:net';

const listen = (port) =>
  new Promise((resolve) => {
    const server = createServer();
    server.once('error', () => resolve(null));
    server.listen({ port, host: '127.0.0.1', exclusive: true }, () => {
      const { port: got } = server.address();
      server.close(() => resolve(got));
    });
  });

export const isFree = async (port) => (await listen(port)) !== null;
/** Whether something takes connections there. */
export const answers = (port) =>
  new Promise((resolve) => {
    const socket = connect({ port, host: '127.0.0.1' });
    const done = (is) => {
      socket.destroy();
      resolve(is);
    };
    socket.once('connect', () => done(true));
    socket.once('error', () => done(false));
    socket.setTimeout(2000, () => done(false));
  });
/** Any free port on loopback. */
export const freePort = () => listen(0);

/** The port asked for, or the next free one above it. */
export async function portFrom(wanted) {
  for (let port = wanted; port < Math.min(wanted + 100, 65536); port++) if (await isFree(port)) return port;
  return freePort();
}
