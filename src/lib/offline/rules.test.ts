import { describe, expect, it } from 'vitest';
import { addressesOf, isGone, isKeptPage, isLetOut, isVisit, pathsAbove } from './rules';

const SHOW = '/show/0b9d';
describe('what a device keeps for a start without a network', () => {
  it('are pages that one goes to and what they are made of; no requests of the program, no feed, no sign-in', () => {
    for (const path of ['/', SHOW, `${SHOW}/check`, '/kit', '/drill'])
      expect([path, isVisit(path, 'navigate')]).toEqual([path, true]);
    for (const path of ['/sign-in', '/api/kit', '/invite/x', '/crew', '/shows', '/kitchen', '/s/token'])
      expect([path, isVisit(path, 'navigate')]).toEqual([path, false]);
    expect(isVisit(SHOW, 'cors')).toBe(false);
    for (const path of ['/__data.json', `${SHOW}/__data.json`, `${SHOW}/check/__data.json`, '/kit/__data.json'])
      expect([path, isVisit(path, 'cors')]).toEqual([path, true]);
    for (const path of ['/crew/__data.json', '/api/shows/x/__data.json'])
      expect([path, isVisit(path, 'cors')]).toEqual([path, false]);
  });
  it('are only answers that are the page itself', () => {
    const page = { ok: true, redirected: false, type: 'basic', status: 200 } as const;
    const led = { ...page, redirected: true };
    const away = { ok: false, redirected: false, type: 'opaqueredirect', status: 0 } as const;
    const none = (status: number) => ({ ...page, ok: false, status });
    expect([page, led, away, none(404), none(500)].map(isKeptPage)).toEqual([true, false, false, false, false]);
    expect([page, led, away, none(401), none(403), none(404), none(503)].map(isLetOut)).toEqual([
      false,
      true,
      true,
      true,
      true,
      false,
      false
    ]);
    expect([page, none(404), none(410), none(403), none(503)].map(isGone)).toEqual([false, true, true, false, false]);
  });
  it('every address that a show is kept by is one that is answered from what is kept', () => {
    for (const path of addressesOf('0b9d'))
      expect([path, isVisit(path, path.endsWith('.json') ? 'cors' : 'navigate')]).toEqual([path, true]);
    expect(pathsAbove(`${SHOW}/compare/l-1`)).toEqual([SHOW, '/']);
    expect(pathsAbove(SHOW)).toEqual(['/']);
    expect(pathsAbove('/')).toEqual([]);
  });
});
