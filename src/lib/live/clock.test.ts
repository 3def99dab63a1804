import { afterEach, beforeEach, expect, it, vi } from 'vitest';

beforeEach(() => void vi.useFakeTimers({ now: Date.UTC(2030, 0, 1) }));
afterEach(() => {
  vi.useRealTimers();
  vi.resetModules();
});
const at = (ms: number) => new Response(null, { headers: { date: new Date(ms).toUTCString() } });

it('a phone that is minutes off tells the time of the server', async () => {
  const { hearClock, serverNow } = await import('./clock');
  expect(serverNow()).toBe(Date.now());
  hearClock(at(Date.now() + 300_000), Date.now() - 100);
  expect(Math.abs(serverNow() - Date.now() - 300_000)).toBeLessThan(1000);
  // A slower answer says no more; one from a clock that was put right does.
  hearClock(at(Date.now() + 301_000), Date.now() - 4000);
  expect(Math.abs(serverNow() - Date.now() - 300_000)).toBeLessThan(1000);
  hearClock(at(Date.now()), Date.now() - 4000);
  expect(Math.abs(serverNow() - Date.now())).toBeLessThan(3000);
});
it('an answer without a time says nothing', async () => {
  const { hearClock, serverNow } = await import('./clock');
  hearClock(new Response(null), Date.now());
  expect(serverNow()).toBe(Date.now());
});
