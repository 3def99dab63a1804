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
let last: Promise<unknown> = Promise.resolve();
/** One after the other, for each takes a third of a second of a processor: a flood of guesses waits for itself, and nobody else for it. */
function inTurn<T>(work: () => Promise<T>): Promise<T> {
  const turn = last.then(work, work);
  last = turn.catch(() => undefined);
  return turn;
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
