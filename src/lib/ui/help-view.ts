import type { HelpView } from '$core/words/screen/help';

/** Which help belongs to an address; null where there is none. */
const VIEWS: readonly (readonly [RegExp, HelpView])[] = [
  [/^\/$/, 'shows'],
  [/^\/kit(\/|$)/, 'kit'],
  [/^\/memory(\/|$)/, 'memory'],
  [/^\/learn(\/|$)|^\/show\/[^/]+\/learn\//, 'learn'],
  [/^\/drill$/, 'drill'],
  [/^\/crew$/, 'crew'],
  [/^\/show\/[^/]+$/, 'lines'],
  [/^\/show\/[^/]+\/compare\//, 'compare'],
  [/^\/show\/[^/]+\/propose$/, 'propose'],
  [/^\/show\/[^/]+\/schools$/, 'schools'],
  [/^\/show\/[^/]+\/kit$/, 'show-kit'],
  [/^\/show\/[^/]+\/measure$/, 'measure'],
  [/^\/show\/[^/]+\/paper$/, 'paper'],
  [/^\/show\/[^/]+\/check$/, 'check'],
  [/^\/show\/[^/]+\/listen(\/|$)/, 'listen'],
  [/^\/show\/[^/]+\/earth$/, 'earth'],
  [/^\/show\/[^/]+\/trace$/, 'trace'],
  [/^\/show\/[^/]+\/analyse$/, 'analyse'],
  [/^\/show\/[^/]+\/log$/, 'log']
];
export const helpViewOf = (path: string): HelpView | null => VIEWS.find(([is]) => is.test(path))?.[1] ?? null;
