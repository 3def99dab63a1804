import { mulberry32 } from '../judge/tolerance';

/** Tests by ear that are fair: order by lot, the count agreed first, a test that is broken off kept as that. Pure; screens hold the state. */

/** Two to six things to hear. */
export const LEAST = 2;
export const MOST = 6;
/** Counts that are offered for a test. */
export const TRIALS = [8, 12, 16, 20] as const;
export const ROUNDS = [1, 3, 5] as const;

export const letterOf = (k: number): string => String.fromCharCode(65 + k);

/** Which of the things stands under which letter: a shuffle by lot. @returns things by letter */
export function shuffled(count: number, seed: number): readonly number[] {
  const random = mulberry32(seed);
  const out = Array.from({ length: count }, (_, k) => k);
  for (let k = count - 1; k > 0; k--) {
    const j = Math.floor(random() * (k + 1));
    [out[k], out[j]] = [out[j], out[k]];
  }
  return out;
}

/** Is X one or the other: so many trials as were agreed. */
export interface Abx {
  readonly trials: number;
  readonly seed: number;
  /** What was said X is, trial by trial: 0 is A, 1 is B. */
  readonly said: readonly (0 | 1)[];
}
/** What X is in a trial, from 0. */
export const xOf = ({ seed }: Abx, trial: number): 0 | 1 => {
  // A lot of its own for every trial, drawn from the seed: no answer tells of the next.
  const random = mulberry32(seed + 7919 * (trial + 1));
  random();
  return random() < 0.5 ? 0 : 1;
};
export const rightOf = (test: Abx): number => test.said.filter((is, k) => is === xOf(test, k)).length;
export const isOver = ({ said, trials }: Abx): boolean => said.length >= trials;

/** Which is liked best, blind, in so many rounds with a new order each. */
export interface Preference {
  readonly count: number;
  readonly rounds: number;
  readonly seed: number;
  /** What was liked, round by round: the thing, whatever letter it stood under. */
  readonly liked: readonly number[];
}
export const orderOf = ({ count, seed }: Preference, round: number): readonly number[] =>
  shuffled(count, seed + 104_729 * (round + 1));
/** How often each was liked. */
export function votes({ count, liked }: Pick<Preference, 'count' | 'liked'>): readonly number[] {
  const out = Array.from({ length: count }, () => 0);
  for (const k of liked) out[k]++;
  return out;
}
/** What was liked most often; null where two were as often. */
export function favourite(test: Pick<Preference, 'count' | 'liked'>): number | null {
  const by = votes(test);
  const most = Math.max(...by);
  return by.filter((n) => n === most).length === 1 ? by.indexOf(most) : null;
}
/** What most of several people liked best; null where two things were liked by as many, or by nobody. */
export function groupFavourite(
  count: number,
  answers: readonly { readonly liked: readonly number[] }[]
): number | null {
  const liked = answers.flatMap((a) => favourite({ count, liked: a.liked }) ?? []);
  return liked.length === 0 ? null : favourite({ count, liked });
}
