import type { CauseCode } from './hypotheses';

/** Causes that are a fault of one thing, which somebody carries away and mends. */
const OF_A_PART: ReadonlySet<CauseCode> = new Set(['shield', 'leg', 'contact', 'pin-1', 'faulty-box']);

/** The device or cable that is faulty where this is the cause, by its id; null where it is no fault of a part. */
export const faultyPart = ({ code, of }: { readonly code: CauseCode; readonly of: string | null }): string | null =>
  OF_A_PART.has(code) ? of : null;
