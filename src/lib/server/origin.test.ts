import { afterEach, describe, expect, it, vi } from 'vitest';
import { clientOf, isFromHere, isOwnHost, originForOthers, originOf } from './origin';
import { freshToken, hashOf } from './tokens';

const from = (host: string): Request => new Request('http://x/', { headers: { host } });
const serve = (env: Record<string, string | undefined>): void => {
  vi.stubEnv('HOST', env.HOST);
  vi.stubEnv('PUBLIC_ORIGIN', env.PUBLIC_ORIGIN);
  vi.stubEnv('TRUSTED_PROXIES', env.TRUSTED_PROXIES);
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

describe('behind something with TLS', () => {
  it('the public name counts first, whatever the proxy makes of it', () => {
    serve({ HOST: '127.0.0.1', PUBLIC_ORIGIN: 'https://shows.example' });
    expect([isOwnHost('shows.example'), isOwnHost('127.0.0.1:4710'), isOwnHost('other.example')]).toEqual([
      true,
      true,
      false
    ]);
    for (const host of ['shows.example', '127.0.0.1:4710']) expect(originOf(from(host))).toBe('https://shows.example');
  });
  it('nobody is in without an account but who is at this machine, and asks it by its own name', () => {
    const asks = (headers: Record<string, string>) =>
      new Request('http://x/', { headers: { host: 'localhost', ...headers } });
    serve({ HOST: '127.0.0.1' });
    expect([isFromHere(asks({}), '127.0.0.1'), isFromHere(asks({}), '::ffff:127.0.0.1')]).toEqual([true, true]);
    expect(isFromHere(asks({}), '192.168.1.9')).toBe(false);
    // Whoever has hung up already has no address: that must not fail, and lets nobody in.
    expect(isFromHere(asks({}), undefined)).toBe(false);
    expect(isFromHere(asks({ host: 'shows.example' }), '127.0.0.1')).toBe(false);
    for (const name of ['x-forwarded-for', 'forwarded', 'via', 'x-real-ip', 'x-forwarded-proto', 'x-forwarded-host'])
      expect([name, isFromHere(asks({ [name]: '1.2.3.4' }), '127.0.0.1')]).toEqual([name, false]);
    serve({ HOST: '127.0.0.1', PUBLIC_ORIGIN: 'https://shows.example' });
    expect(isFromHere(asks({}), '127.0.0.1')).toBe(false);
    serve({ HOST: '0.0.0.0' });
    expect(isFromHere(asks({}), '127.0.0.1')).toBe(false);
  });
  it('who asks is told by the last proxy that is named, and by nothing that anybody can write', () => {
    const by = (way: string, peer: string) =>
      clientOf(new Request('http://x/', { headers: { 'x-forwarded-for': way } }), peer);
    serve({});
    expect(by('6.6.6.6', '127.0.0.1')).toBe('127.0.0.1');
    serve({ TRUSTED_PROXIES: '127.0.0.1, 10.0.0.2' });
    expect(by('6.6.6.6, 203.0.113.5', '127.0.0.1')).toBe('203.0.113.5');
    expect(by('6.6.6.6, 203.0.113.5, 10.0.0.2', '::ffff:127.0.0.1')).toBe('203.0.113.5');
    expect(by('6.6.6.6', '198.51.100.7')).toBe('198.51.100.7');
    expect(by('', '127.0.0.1')).toBe('127.0.0.1');
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
