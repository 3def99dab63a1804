import type { Belief } from './infer';

/** How sure anybody may be, whatever the answers seem to say. */

/** What is only told, however well it fits, makes nobody surer than this. */
const UNTRIED = 0.75;
/** Nobody is surer than this that it is something they have not thought of. */
const UNTHOUGHT_OF = 0.9;

/** The likeliest held under a ceiling: what is over it is given to what nobody has thought of. @param beliefs most likely first */
export function doubted(beliefs: readonly Belief[]): Belief[] {
  const over = Math.max(beliefs[0].share - UNTRIED, 0);
  if (over === 0) return [...beliefs];
  return beliefs
    .map((b, k) => ({ ...b, share: k === 0 ? UNTRIED : b.share + (b.hypothesis.code === 'none' ? over : 0) }))
    .sort((a, b) => b.share - a.share);
}

/** What nobody has thought of held under a ceiling: what is over it is given to all that was thought of, by their shares. @param beliefs that one first */
export function capped(beliefs: readonly Belief[]): Belief[] {
  const [{ share }] = beliefs;
  if (share <= UNTHOUGHT_OF || share >= 1) return [...beliefs];
  const times = (1 - UNTHOUGHT_OF) / (1 - share);
  return beliefs.map((b, k) => ({ ...b, share: k === 0 ? UNTHOUGHT_OF : b.share * times }));
}
