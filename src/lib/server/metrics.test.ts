import { afterEach, describe, expect, it } from 'vitest';
import { mayMeter, metricsText, observed } from './metrics';

const KEYS = ['HOST', 'PUBLIC_ORIGIN', 'METRICS_TOKEN'] as const;
const before = KEYS.map((key) => process.env[key]);
const set = (host: string, origin?: string, token?: string): void =>
  KEYS.forEach((key, k) => {
    const value = [host, origin, token][k];
    if (value === undefined) delete process.env[key];
    else process.env[key] = value;
  });
afterEach(() => set(before[0] ?? '', before[1], before[2]));

describe('metrics', () => {
  it('are for whoever has the token; without one for the machine alone that nobody else reaches', () => {
    set('127.0.0.1');
    expect(mayMeter(null)).toBe(true);
    set('0.0.0.0');
    expect(mayMeter(null)).toBe(false);
    // A proxy on the same machine lets everybody in by its door.
    set('127.0.0.1', 'https://shows.example');
    expect(mayMeter(null)).toBe(false);
    set('127.0.0.1', 'https://shows.example', 'secret');
    expect(mayMeter(null)).toBe(false);
    expect(mayMeter('Bearer secre')).toBe(false);
    expect(mayMeter('Bearer secret')).toBe(true);
    // With a token it takes it everywhere.
    set('127.0.0.1', undefined, 'secret');
    expect(mayMeter(null)).toBe(false);
  });
  it('tell what was asked for by its route, and never an address', async () => {
    observed('/show/[id]', 'GET', 200, 0.04);
    const text = await metricsText();
    expect(text).toContain('guanxi_request_seconds_bucket{le="0.05",route="/show/[id]",method="GET",status="200"} 1');
    expect(text).toContain('guanxi_request_seconds_bucket{le="0.02",route="/show/[id]",method="GET",status="200"} 0');
    expect(text).toContain('guanxi_process_resident_memory_bytes');
  });
});
