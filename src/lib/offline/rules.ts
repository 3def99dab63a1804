/** What is kept for a start without a network, and what is not. */

export const KEPT_PAGES = 'kept-pages';
export const KEPT_PLANS = 'kept-plans';
/** All that belongs to a crew. */
export const KEPT = [KEPT_PAGES, KEPT_PLANS] as const;

/** As long as a server is waited for that has answered before, milliseconds: then what is kept is shown. */
export const PATIENCE_MS = 4000;

/** What a page asks of its service worker. */
export interface WorkerOrder {
  readonly urls: readonly string[];
}

/** Views of a show that open without a network; the rest is reached from them. */
const VIEWS = ['', '/check', '/trace', '/earth', '/paper', '/kit', '/propose', '/listen', '/analyse', '/log'] as const;

/** Of these the server gives more than the show itself. */
const VIEWS_WITH_DATA: readonly (typeof VIEWS)[number][] = ['', '/check', '/trace', '/paper', '/log'];

const VISITED = /^\/(?:$|show\/|kit(?:$|\/)|drill(?:$|\/))/;
const DATA = '__data.json';

/** Whether a request is for a page, or for what a page is made of when one goes to it by a link. @param mode of the request */
export function isVisit(path: string, mode: string): boolean {
  if (path.endsWith(`/${DATA}`)) return VISITED.test(path.slice(0, -DATA.length).replace(/(.)\/$/, '$1'));
  return mode === 'navigate' && VISITED.test(path);
}

/** Pages above a page, nearest first: of a view its show, and the list of shows. */
export function pathsAbove(path: string): string[] {
  const [, show] = /^(\/show\/[^/]+)\/./.exec(path) ?? [];
  return [...(show ? [show] : []), ...(path === '/' ? [] : ['/'])];
}

/** Addresses of what a show needs to open: its views, and what they are made of when one goes from one to the other. */
export const addressesOf = (show: string): string[] => [
  '/',
  '/kit',
  ...VIEWS.map((view) => `/show/${show}${view}`),
  ...VIEWS_WITH_DATA.map((view) => `/show/${show}${view}/${DATA}`)
];

/** Whether a page is worth keeping: an error or another page in its place is not. */
export const isKeptPage = ({ ok, redirected, type }: Pick<Response, 'ok' | 'redirected' | 'type'>): boolean =>
  ok && !redirected && type === 'basic';

/** Whether a page is no longer there. */
export const isGone = ({ status }: Pick<Response, 'status'>): boolean => status === 404 || status === 410;

/** Whether the server sends elsewhere, or away, whoever asks for a page that once was theirs. */
export const isLetOut = ({ status, redirected, type }: Pick<Response, 'status' | 'redirected' | 'type'>): boolean =>
  redirected || type === 'opaqueredirect' || status === 401 || status === 403;
