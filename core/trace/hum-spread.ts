import type { Spread } from './first-answers';

/** Fewer other lines than this say nothing of how far a hum spreads. */
const FEWEST = 2;

/**
 * How far a hum spreads, by the other lines that were listened to.
 * @param others of each whether it hums more than expected
 * @returns null where too few were listened to
 */
export function spreadOfHum(others: readonly boolean[]): Spread | null {
  if (others.length < FEWEST) return null;
  const humming = others.filter(Boolean).length;
  return humming === 0 ? 'only-this' : humming === others.length ? 'all' : 'some';
}
