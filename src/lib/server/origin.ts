import { networkInterfaces } from 'node:os';
import { hostName, isLoopback } from './http';

/** Under which addresses this server is reached. */

/** Names it answers to besides loopback: its own address where it serves the network, and what ORIGIN says. */
function ownNames(): Set<string> {
  const host = process.env.HOST ?? '';
  const names = new Set<string>();
  // What stands in front of it passes the name on that it is reached by itself.
  const origin = process.env.PUBLIC_ORIGIN;
  if (origin) names.add(new URL(origin).hostname);
  if (isLoopback(host)) return names;
  if (host !== '0.0.0.0' && host !== '::') names.add(host);
  else for (const address of outside()) names.add(address.includes(':') ? `[${address}]` : address);
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

/** Headers that only what stands in between puts on a request. */
const FORWARDED = ['forwarded', 'via', 'x-forwarded-for', 'x-forwarded-host', 'x-forwarded-proto', 'x-real-ip'];

/**
 * Whether a request can only have come from this machine itself: only then is somebody let in without an account, for it is their machine.
 * @param client address of whoever holds the other end of the connection; undefined once they have hung up
 */
export const isFromHere = (request: Request, client: string | undefined): boolean =>
  !process.env.PUBLIC_ORIGIN &&
  isLoopback(process.env.HOST ?? '') &&
  isLoopback(hostName(request.headers.get('host') ?? '')) &&
  isLoopback(client?.replace(/^::ffff:/, '') ?? '') &&
  !FORWARDED.some((name) => request.headers.has(name));

/**
 * Address of whoever asks, for limits: the other end of the connection, or, where that is a proxy named in TRUSTED_PROXIES, the last address that
 * it or one of them was called from. What others write into such a header is not believed.
 */
export function clientOf(request: Request, peer: string | undefined): string {
  const trusted = new Set(
    (process.env.TRUSTED_PROXIES ?? '')
      .split(',')
      .map((a) => a.trim())
      .filter(Boolean)
  );
  // Whoever has hung up already has no address any more.
  const plain = (address: string | undefined): string => (address ?? '').replace(/^::ffff:/, '');
  let at = plain(peer);
  const way = (request.headers.get('x-forwarded-for') ?? '').split(',').map((a) => plain(a.trim()));
  while (trusted.has(at)) {
    const before = way.pop();
    if (!before) break;
    at = before;
  }
  return at;
}

/** Scheme, name and port by which this request came, as its browser sees them. */
export function originOf(request: Request): string {
  const host = request.headers.get('host') ?? 'localhost';
  const set = process.env.PUBLIC_ORIGIN;
  // A proxy may put its own idea of the name in place of it.
  if (set && (new URL(set).host === host || isLoopback(hostName(host)))) return new URL(set).origin;
  return `${process.env.SERVED_OVER === 'https' ? 'https' : 'http'}://${host}`;
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
