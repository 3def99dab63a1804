import type { Remedy } from '$core/advise/remedies';
import type { Route } from '$core/advise/route';
import { remedyText } from '$core/words/remedies';
import { wayShort } from '$core/words/routes';
import type { Candidate } from './candidates';

/** Of the remedies so many are offered. */
const MOST = 4;

/** What would fix a line, as things to be heard. */
export const remedyCandidates = (remedies: readonly Remedy[]): Candidate[] =>
  remedies.slice(0, MOST).map((r, k) => ({
    key: `remedy ${k}`,
    name: remedyText(r.what),
    through: { kind: 'line', ops: r.ops }
  }));

/** Of other ways so many are offered. */
const MOST_WAYS = 6;
/** Other ways of a line, as things to be heard; of each kind the first, which is the best of it. */
export function routeCandidates(routes: readonly Route[]): Candidate[] {
  const names = new Map<string, Route>();
  for (const route of routes) if (!route.present && !names.has(wayShort(route))) names.set(wayShort(route), route);
  return [...names]
    .slice(0, MOST_WAYS)
    .map(([name, { key, ops }]) => ({ key: `way ${key}`, name, through: { kind: 'line', ops } }));
}
