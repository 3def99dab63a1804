import { networkInterfaces } from 'node:os';
import { hostName, isLoopback } from './http';

/** Under which addresses this server is reached. */

/** Names it answers to besides loopback: its own address where it serves the network, and what ORIGIN says. */
function ownNames(): Set<string> {
  const host = process.env.HOST ?? '';
  const names = new Set<string>();
  if (isLoopback(host)) return names;
  if (host !== '0.0.0.0' && host !== '::') names.add(host);
  else for (const address of outside()) names.add(address.includes(':') ? `[${address}]` : address);
  const origin = process.env.PUBLIC_ORIGIN;
  if (origin) names.add(new URL(origin).hostname);
  return names;
}

/** Addresses of this machine on its networks, those of version 4 first. */
function outside(): string[] {
  return Object.values(networkInterfaces())
    .flatMap((list) => list ?? [])
    .filter((a) => !a.internal && !(a.family === 'IPv6' && a.address.startsWith('fe80')))
    .sort((a, b) => (a.family < b.family ? -1 : 1))
    .map((a) => a.address);
}

/** Whether a `Host` header names this server: a foreign name pointed at this machine must not reach it through somebody's browser. */
export const isOwnHost = (header: string): boolean => isLoopback(hostName(header)) || ownNames().has(hostName(header));

/** Scheme, name and port by which this request came, as its browser sees them. */
export function originOf(request: Request): string {
  const host = request.headers.get('host') ?? 'localhost';
  const set = process.env.PUBLIC_ORIGIN;
  if (set && new URL(set).host === host) return new URL(set).origin;
  return `http://${host}`;
}

/** The same for another device, whose loopback is its own; null when no other device can reach this server. */
export function originForOthers(request: Request): string | null {
  if (process.env.PUBLIC_ORIGIN) return new URL(process.env.PUBLIC_ORIGIN).origin;
  const own = originOf(request);
  if (!isLoopback(new URL(own).hostname)) return own;
  if (isLoopback(process.env.HOST ?? '')) return null;
  const [name] = ownNames();
  return name ? own.replace(new URL(own).hostname, name) : null;
}
