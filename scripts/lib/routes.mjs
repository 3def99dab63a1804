import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './setup.mjs';

const FOLDER = join(ROOT, 'src/routes');

/**
 * Every route there is with its methods, read off the folder, so that a new one cannot be forgotten.
 * @returns {{ path: string, method: string }[]}
 */
export const allRoutes = () =>
  readdirSync(FOLDER, { recursive: true, encoding: 'utf8' }).flatMap((file) => {
    const path = `/${file.replace(/\/?\+[^/]*$/, '')}`;
    if (file.endsWith('+page.svelte')) return [{ path, method: 'GET' }];
    if (!file.endsWith('+server.ts')) return [];
    const text = readFileSync(join(FOLDER, file), 'utf8');
    return [...text.matchAll(/export (?:const|async function|function) (GET|POST|PUT|PATCH|DELETE)\b/g)].map(
      ([, method]) => ({ path, method })
    );
  });

/** Where whoever comes has to be let in: they come with a secret or to give one, or for what is about nobody. */
const DOORS = [
  '/healthz',
  '/metrics',
  '/learn',
  '/learn/',
  '/sign-in',
  '/invite/',
  '/join/',
  '/reset/',
  '/s/',
  '/api/auth/',
  '/api/crew/accept'
];
export const isDoor = ({ path }) => DOORS.some((d) => path === d || (d.endsWith('/') && path.startsWith(d)));
