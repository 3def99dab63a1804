import type { Rank } from '../crew/roles';

/** What it takes to ask for each route. A table, so that it can be read, and held against the routes there are. */

/** Pages and data of one show. */
export const isOfShow = (route: string | null): boolean => /^\/(api\/shows|show)\/\[id\]/.test(route ?? '');

/** Routes that a stranger may ask for: each gives nothing away without a password or what a link holds. */
export const FOR_ANYONE: ReadonlySet<string> = new Set([
  '/healthz',
  // Asks for a token of its own.
  '/metrics',
  '/sign-in',
  '/invite/[token]',
  '/join/[code]',
  '/reset/[token]',
  '/s/[token]',
  // Lessons are about nobody's show.
  '/learn',
  '/learn/[lesson]',
  '/learn/handout',
  '/api/auth/[...all]',
  '/api/crew',
  '/api/crew/accept'
]);
export const FOR_OWNERS: ReadonlySet<string> = new Set([
  '/api/crew/invites',
  '/api/crew/invites/[id]',
  '/api/crew/people/[id]',
  '/api/crew/name'
]);
/** What everybody may change: what is about themselves, and a stop, which whoever sees the danger calls. */
export const OWN_AFFAIRS: ReadonlySet<string> = new Set([
  '/api/crew/devices/[id]',
  '/api/crew/switch',
  '/api/shows/[id]/here',
  '/api/shows/[id]/stops',
  '/api/shows/[id]/stops/[stop]',
  '/api/trouble'
]);
/** Of a show, and yet for nobody who has but a link to it: what a crew wrote down, and who did. */
const NOT_FOR_GUESTS: ReadonlySet<string> = new Set([
  '/show/[id]/log',
  '/api/shows/[id]/log/file/[as]',
  '/api/shows/[id]/revisions/[revision]',
  '/api/shows/[id]/venue',
  '/api/shows/[id]/worked',
  // Which stands under which letter is not for those who are asked.
  '/api/shows/[id]/listenings',
  '/api/shows/[id]/listenings/[listening]/answers'
]);
/** What somebody with but a link to a show may send: what they liked, when they are asked. */
const GUESTS_SEND: ReadonlySet<string> = new Set(['/api/shows/[id]/listenings/[listening]/answers']);
const SAFE: ReadonlySet<string> = new Set(['GET', 'HEAD', 'OPTIONS']);
export const isSafe = (method: string): boolean => SAFE.has(method);

/** What it takes to ask for a route by a method; a route nobody thought of is for members, and changes are for engineers. */
export function needs(route: string | null, method: string): Rank | 'nothing' {
  if (route === null || FOR_ANYONE.has(route)) return 'nothing';
  if (FOR_OWNERS.has(route)) return 'owner';
  if (OWN_AFFAIRS.has(route)) return isSafe(method) && isOfShow(route) ? 'guest' : 'reader';
  if (!isSafe(method) && GUESTS_SEND.has(route)) return 'guest';
  if (!isSafe(method) || route === '/api/shows/[id]/shares') return 'engineer';
  return isOfShow(route) && !NOT_FOR_GUESTS.has(route) ? 'guest' : 'reader';
}
