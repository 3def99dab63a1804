import { createHash, randomBytes } from 'node:crypto';

/** What a link holds: 256 random bits, so that none can be guessed. The database keeps its hash alone. */
export const freshToken = (): string => randomBytes(32).toString('base64url');
export const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');
