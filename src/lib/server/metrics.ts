import { timingSafeEqual } from 'node:crypto';
import { collectDefaultMetrics, Histogram, Registry } from 'prom-client';
import { isForThisMachine } from './http';

/** What a server tells of itself, as text that the usual collectors read: counts and times, no names, no addresses. */
const registry = new Registry();
collectDefaultMetrics({ register: registry, prefix: 'guanxi_' });
const requests = new Histogram({
  name: 'guanxi_request_seconds',
  help: 'Time to answer, by route as the code has it, method and status.',
  labelNames: ['route', 'method', 'status'] as const,
  buckets: [0.005, 0.02, 0.05, 0.1, 0.3, 1, 3],
  registers: [registry]
});

/** @param route as the code has it: never the address, in which secrets may stand */
export const observed = (route: string | null, method: string, status: number, seconds: number): void =>
  requests.observe({ route: route ?? 'none', method, status }, seconds);

export const metricsText = (): Promise<string> => registry.metrics();
export const METRICS_TYPE = registry.contentType;

/** Whoever has the token; without one, only on a server that nothing but its own machine reaches. */
export function mayMeter(authorization: string | null): boolean {
  const token = process.env.METRICS_TOKEN;
  if (!token) return isForThisMachine();
  const [given, wanted] = [authorization ?? '', `Bearer ${token}`].map((text) => Buffer.from(text));
  return given.length === wanted.length && timingSafeEqual(given, wanted);
}
