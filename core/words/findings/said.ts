import type { Check, Code, CODES, Finding } from '../../judge/types';

/** All that is said of one code. */
export interface Saying<C extends Code> {
  /** One plain sentence with the number in it. */
  sentence(f: Finding<C>): string;
  /** Two or three words. */
  short(f: Finding<C>): string;
  /** The number before and after that a remedy is judged by; the short form where it is left out. */
  measure?(f: Finding<C>): string;
  /** How the number came about. */
  readonly formula: string;
  /** Why it matters, in one sentence. */
  readonly reason: string | ((f: Finding<C>) => string);
}
type CodeOf<K extends Check> = { [C in Code]: (typeof CODES)[C] extends K ? C : never }[Code];
/** A saying for every code of a check: one left out does not compile. */
export type Said<K extends Check> = { readonly [C in CodeOf<K>]: Saying<C> };
