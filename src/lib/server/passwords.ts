import { server as says } from '$core/words/server';
import { APIError } from 'better-auth/api';
import { verifyPassword as verifyOlder } from 'better-auth/crypto';
import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto';

/** How passwords are kept. */

/**
 * scrypt with 32 MB a guess: one of the equal choices of the OWASP Password Storage Cheat Sheet (N = 2^15, r = 8, p = 3).
 * `maxmem` is what Node allows it; a little more than it takes.
 */
const COST = { N: 2 ** 15, r: 8, p: 3, maxmem: 64 * 2 ** 20 } as const;
const KEY = 64;
const MARK = 'scrypt15-8-3';
/** So many at once, for each takes a third of a second of a processor; so many wait for their turn. */
const AT_ONCE = 2;
const MOST_WAITING = 20;

let working = 0;
const waiting: (() => void)[] = [];
/** In turn: a flood of guesses waits for itself, and nobody else for it. @throws APIError 503 where too many wait */
async function inTurn<T>(work: () => Promise<T>): Promise<T> {
  if (working >= AT_ONCE) {
    if (waiting.length >= MOST_WAITING) throw new APIError('SERVICE_UNAVAILABLE', { message: says.manyAskAtOnce });
    await new Promise<void>((go) => waiting.push(go));
  } else working++;
  try {
    return await work();
  } finally {
    // The next one takes this one's place.
    const next = waiting.shift();
    if (next) next();
    else working--;
  }
}

const keyOf = (password: string, salt: string): Promise<Buffer> =>
  inTurn(
    () =>
      new Promise((resolve, reject) =>
        scrypt(password.normalize('NFKC'), salt, KEY, COST, (error, key) => (error ? reject(error) : resolve(key)))
      )
  );

/** A password as it is kept: how it was made, salt and key. */
export async function hashPassword(password: string): Promise<string> {
  const salt = randomBytes(16).toString('hex');
  return `${MARK}:${salt}:${(await keyOf(password, salt)).toString('hex')}`;
}

/** Whether a password is the one that is kept; one kept by an earlier version is known as well. */
export async function verifyPassword({ hash, password }: { hash: string; password: string }): Promise<boolean> {
  const [mark, salt, key] = hash.split(':');
  if (mark !== MARK) return inTurn(() => verifyOlder({ hash, password }));
  const kept = Buffer.from(key ?? '', 'hex');
  const made = await keyOf(password, salt);
  return kept.length === made.length && timingSafeEqual(kept, made);
}
