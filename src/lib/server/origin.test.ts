import { afterEach, describe, expect, it, vi } from 'vitest';
import { isOwnHost, originForOthers, originOf } from './origin';
import { freshToken, hashOf } from './tokens';

const from = (host: string): Request => new Request('http://x/', { headers: { host } });
const serve = (env: Record<string, string | undefined>): void => {
  vi.stubEnv('HOST', env.HOST);
  vi.stubEnv('PUBLIC_ORIGIN', env.PUBLIC_ORIGIN);
};
afterEach(() => vi.unstubAllEnvs());

describe('under which names it answers', () => {
  it('loopback alone where it serves loopback', () => {
    serve({ HOST: '127.0.0.1' });
    for (const host of ['127.0.0.1:4710', 'localhost:4710', 'localhost', '[::1]:4710'])
      expect(isOwnHost(host)).toBe(true);
    for (const host of ['elsewhere.example', '192.168.1.7:4710', '', '127.0.0.1.elsewhere.example'])
      expect(isOwnHost(host)).toBe(false);
    // What it is reached by here, no other device reaches.
    expect(originForOthers(from('127.0.0.1:4710'))).toBeNull();
  });
  it('its own address where it serves one, and the name that stands in front of it', () => {
    serve({ HOST: '192.168.1.7', PUBLIC_ORIGIN: 'https://shows.example' });
    expect([isOwnHost('192.168.1.7:4710'), isOwnHost('shows.example'), isOwnHost('192.168.1.8:4710')]).toEqual([
      true,
      true,
      false
    ]);
    expect(originOf(from('shows.example'))).toBe('https://shows.example');
    expect(originOf(from('192.168.1.7:4710'))).toBe('http://192.168.1.7:4710');
    expect(originForOthers(from('127.0.0.1:4710'))).toBe('https://shows.example');
  });
  it('for a phone, the address of the network in place of the desk’s own loopback', () => {
    serve({ HOST: '192.168.1.7' });
    expect(originForOthers(from('127.0.0.1:4710'))).toBe('http://192.168.1.7:4710');
    expect(originForOthers(from('192.168.1.7:4710'))).toBe('http://192.168.1.7:4710');
  });
});

it('what a link holds cannot be guessed, fits an address, and is not told by what is kept of it', () => {
  const tokens = Array.from({ length: 200 }, freshToken);
  expect(new Set(tokens).size).toBe(200);
  for (const token of tokens) {
    expect(token).toMatch(/^[A-Za-z0-9_-]{43}$/);
    expect(hashOf(token)).toMatch(/^[0-9a-f]{64}$/);
    expect(hashOf(token)).not.toContain(token.slice(0, 8));
  }
  expect(hashOf('a')).toBe(hashOf('a'));
  expect(hashOf('a')).not.toBe(hashOf('b'));
});
