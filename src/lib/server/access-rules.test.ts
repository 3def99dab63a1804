import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { ACCESS, type Least } from '../../../e2e/access-table';
import { FOR_ANYONE, FOR_OWNERS, isSafe, needs, OWN_AFFAIRS } from './access-rules';

/** Routes with their methods, read off the folder. */
const routes = new Map<string, string[]>();
for (const file of readdirSync('src/routes', { recursive: true, encoding: 'utf8' })) {
  if (!/\+(page\.svelte|server\.ts)$/.test(file)) continue;
  const text = readFileSync(`src/routes/${file}`, 'utf8');
  const methods = file.endsWith('.svelte')
    ? ['GET']
    : [...text.matchAll(/^export (?:const|async function|function) (GET|POST|PUT|PATCH|DELETE)\b/gm)].map((m) => m[1]);
  routes.set(`/${file.replace(/\/?\+[^/]*$/, '')}`, methods);
}
const CHANGES = ['POST', 'PUT', 'PATCH', 'DELETE'];

describe('what it takes to ask for a route', () => {
  it('is as it was written out by hand, for every route and method there is, and for none that is not', () => {
    const there = [...routes].flatMap(([route, methods]) => methods.map((m) => `${m} ${route}`));
    const written = Object.entries(ACCESS).flatMap(([route, of]) => Object.keys(of).map((m) => `${m} ${route}`));
    expect(there.sort()).toEqual(written.sort());
    for (const [route, of] of Object.entries(ACCESS))
      for (const [method, least] of Object.entries(of)) {
        const needed = needs(route, method);
        expect([method, route, needed === 'nothing' ? 'stranger' : needed]).toEqual([method, route, least as Least]);
      }
  });
  it('names no route that is not there: what was renamed would otherwise fall back to what anybody in the crew may', () => {
    for (const route of [...FOR_ANYONE, ...FOR_OWNERS, ...OWN_AFFAIRS]) expect([...routes.keys()]).toContain(route);
  });
  it('a route that nobody has thought of is for members, its changes for engineers; what is no route is told so to anybody', () => {
    expect([needs('/api/tomorrow', 'GET'), needs('/api/tomorrow', 'POST')]).toEqual(['reader', 'engineer']);
    for (const method of CHANGES) expect(needs('/api/shows/[id]/tomorrow', method)).toBe('engineer');
    expect(needs(null, 'GET')).toBe('nothing');
    // Links to a show are read by whoever may make them, should they ever be read; only what begins as a show's is a show's.
    expect(needs('/api/shows/[id]/shares', 'GET')).toBe('engineer');
    expect([needs('/crew/show/[id]', 'GET'), needs('/api/show/[id]', 'GET')]).toEqual(['reader', 'reader']);
  });
  it('only what changes nothing by its nature is safe', () => {
    expect(['GET', 'HEAD', 'OPTIONS'].every(isSafe)).toBe(true);
    expect(CHANGES.some(isSafe)).toBe(false);
  });
});
