import { readdirSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { FOR_ANYONE, FOR_OWNERS, isSafe, needs, OWN_AFFAIRS } from './access-rules';

/** Ids of all routes, read off the folder. */
const routes = new Set(
  readdirSync('src/routes', { recursive: true, encoding: 'utf8' })
    .filter((file) => /\+(page\.svelte|server\.ts)$/.test(file))
    .map((file) => `/${file.replace(/\/?\+[^/]*$/, '')}`)
);
const CHANGES = ['POST', 'PUT', 'PATCH', 'DELETE'];

describe('what it takes to ask for a route', () => {
  it('names no route that is not there: what was renamed would otherwise fall back to what anybody in the crew may', () => {
    for (const route of [...FOR_ANYONE, ...FOR_OWNERS, ...OWN_AFFAIRS]) expect([...routes]).toContain(route);
  });
  it('to change anything takes an engineer, but for the doors, what is one’s own, and what is for owners', () => {
    for (const route of routes)
      for (const method of CHANGES) {
        const needed = needs(route, method);
        if (FOR_ANYONE.has(route)) expect([route, needed]).toEqual([route, 'nothing']);
        else if (FOR_OWNERS.has(route)) expect([route, needed]).toEqual([route, 'owner']);
        else if (OWN_AFFAIRS.has(route)) expect([route, needed]).toEqual([route, 'reader']);
        else expect([route, needed]).toEqual([route, 'engineer']);
      }
  });
  it('to look takes a member, a guest only for the one show', () => {
    for (const route of routes) {
      const needed = needs(route, 'GET');
      if (needed === 'guest') expect(route).toMatch(/^\/(api\/shows|show)\/\[id\]/);
      if (needed === 'nothing') expect(FOR_ANYONE.has(route)).toBe(true);
    }
    expect(needs('/', 'GET')).toBe('reader');
    expect(needs('/api/export', 'GET')).toBe('reader');
    expect(needs('/api/shows/[id]/shares', 'GET')).toBe('engineer');
    // A route that nobody has thought of is for members.
    expect([needs('/api/tomorrow', 'GET'), needs('/api/tomorrow', 'POST')]).toEqual(['reader', 'engineer']);
    // What is no route at all is told so to anybody.
    expect(needs(null, 'GET')).toBe('nothing');
  });
  it('only what changes nothing by its nature is safe', () => {
    expect(['GET', 'HEAD', 'OPTIONS'].every(isSafe)).toBe(true);
    expect(CHANGES.some(isSafe)).toBe(false);
  });
});
