import type { Difference } from './variants';

/** Something that may be behind a reading. */
export interface Cause {
  readonly what: Difference;
  /** How likely, of all that was tried: all shares add up to one. */
  readonly share: number;
  /** What it would read. */
  readonly gain: number | null;
  readonly humBelow: number | null;
  readonly silent: boolean;
}

/** Causes that one would look for in the same place, as one: a pad at any of its positions, a player off by any amount. */
export function grouped(causes: readonly Cause[]): Cause[] {
  const by = new Map<string, Cause>();
  for (const cause of causes) {
    const { what } = cause;
    const key =
      what.code === 'switch'
        ? `${what.model} ${what.setting}`
        : what.code === 'level'
          ? `level ${Math.sign(what.db)}`
          : what.code === 'other-source'
            ? `other ${what.lineId}`
            : what.code;
    const known = by.get(key);
    // The likeliest of them stands for all.
    by.set(key, known ? { ...known, share: known.share + cause.share } : cause);
  }
  return [...by.values()].sort((a, b) => b.share - a.share);
}
