/** What guessing would do: exact, by the binomial distribution. */

/** Of n trials with even odds, the chance of k right or more. @throws RangeError where k is not in 0 … n */
export function chanceOf(right: number, trials: number): number {
  if (!(Number.isInteger(right) && Number.isInteger(trials) && right >= 0 && right <= trials))
    throw new RangeError(`${right} of ${trials}`);
  let sum = 0;
  // Each term from the one before, from C(n, n) down.
  let term = 2 ** -trials;
  for (let k = trials; k >= right; k--) {
    sum += term;
    term *= k / (trials - k + 1);
  }
  return Math.min(sum, 1);
}

/** Guessing does so well once in so many tests, rounded down: `once in 26`. */
export const onceIn = (right: number, trials: number): number => Math.floor(1 / chanceOf(right, trials) + 1e-9);

/** This seldom by guessing is what counts as heard. */
export const HEARD = 0.05;
/** Right answers that are wanted of so many trials for that; null where so few trials cannot show it. */
export function wanted(trials: number): number | null {
  for (let k = 0; k <= trials; k++) if (chanceOf(k, trials) <= HEARD) return k;
  return null;
}

/** Sure enough to be found by a test, of those tests that are done. */
const FOUND = 0.8;
/** More than this nobody sits through. */
const MOST = 200;
/**
 * How many trials it takes for somebody who is right in so many of 1 to show it in four tests of five.
 * @param share of answers that are right; above a half
 * @returns null where more than two hundred would be needed
 */
export function trialsFor(share: number): number | null {
  for (let n = 5; n <= MOST; n++) {
    const k = wanted(n);
    if (k !== null && atLeast(k, n, share) >= FOUND) return n;
  }
  return null;
}
function atLeast(right: number, trials: number, p: number): number {
  let sum = 0;
  for (let k = right; k <= trials; k++)
    sum += Math.exp(logChoose(trials, k) + k * Math.log(p) + (trials - k) * Math.log(1 - p || 1e-300));
  return sum;
}
function logChoose(n: number, k: number): number {
  let sum = 0;
  for (let j = 1; j <= k; j++) sum += Math.log((n - k + j) / j);
  return sum;
}
