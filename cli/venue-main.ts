import { planFromFile, Wrong } from './inputs';
import { serveVenue } from './venue';

/** npm run venue -- PLAN.json [--seed N] [--port N]: answers on loopback until it is ended. */
const DEFAULT_PORT = 4780;

try {
  const args = process.argv.slice(2);
  const option = (name: string, fallback: number): number => {
    const at = args.indexOf(name);
    if (at < 0) return fallback;
    const [, text = ''] = args.splice(at, 2);
    const value = Number(text);
    if (!Number.isInteger(value) || value < 0 || value > 65535)
      throw new Wrong(`${name} ${text}: a whole number is wanted.`);
    return value;
  };
  const seed = option('--seed', 1);
  const port = option('--port', DEFAULT_PORT);
  const [file] = args;
  if (!file) throw new Wrong('Which show? npm run venue -- PLAN.json [--seed N] [--port N]');
  const server = serveVenue(planFromFile(file), file, seed);
  server.on('error', (error: NodeJS.ErrnoException) => {
    console.error(error.code === 'EADDRINUSE' ? `Port ${port} is taken: try --port ${port + 1}.` : error.message);
    process.exitCode = 2;
  });
  server.listen(port, '127.0.0.1', () => {
    const at = server.address();
    const used = at && typeof at === 'object' ? at.port : port;
    console.log(`Stand-in venue ${seed} of ${file} at http://127.0.0.1:${used}   (Ctrl-C ends it)`);
  });
} catch (error) {
  console.error(error instanceof Wrong ? error.message : error);
  process.exitCode = 2;
}
