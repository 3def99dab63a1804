import type { Piece } from './pieces';

/** Which of two lines a switch was said of: "bottom polarity flipped", "right DI lifted", "one of them padded". */

const SWITCHES = ['polarity', 'lift', 'pad'];

/** Switches that were said of one of two, each with that one: 0 or 1. @param places the two are named by where they stand */
export function saidOfOne(pieces: readonly Piece[], places: boolean): Map<string, number> {
  const found = new Map<string, number>();
  for (const key of SWITCHES) {
    const said = pieces.filter((p) => p.read.is === key);
    if (said.length !== 1) continue;
    const one = (places ? placeBeside(pieces, said[0]) : null) ?? sideBeside(pieces, said[0]);
    if (one !== null) found.set(key, one);
  }
  return found;
}

const FIRST = /\b(?:top|t|upper|in|inside|hi|high|front|near|inner)\b/i;
const SECOND = /\b(?:bottom|btm|bot|b|lower|out|outside|lo|low|back|rear|far|outer)\b/i;
function placeBeside(pieces: readonly Piece[], piece: Piece): 0 | 1 | null {
  const words = beside(pieces, piece).join(' ');
  return either(FIRST.test(words), SECOND.test(words));
}

const LEFT = /^(?:left|l|links|first|1st)$/i;
/** Of two that are alike it is the same which of them: the second, say. */
const RIGHT = /^(?:right|r|rechts|second|2nd|other|one|one of (?:them|the two))$/i;
const EACH = /\b(?:each|both|all)\b/i;
function sideBeside(pieces: readonly Piece[], piece: Piece): 0 | 1 | null {
  const words = beside(pieces, piece);
  if (words.some((w) => EACH.test(w))) return null;
  return either(
    words.some((w) => LEFT.test(w)),
    words.some((w) => RIGHT.test(w))
  );
}

const either = (first: boolean, second: boolean): 0 | 1 | null => (first === second ? null : first ? 0 : 1);
const beside = (pieces: readonly Piece[], piece: Piece): string[] =>
  pieces.filter((p) => p.part === piece.part && p !== piece && p.read.is !== 'sides').map((p) => p.text);
