import type { Piece } from './pieces';
import { phraseAt } from './words';

/** Of what has outputs and inputs, which was said: "power amplifier unbalanced input", "compressor balanced in". With a word between, the two are one all the same. */

const IN = /^in(?:put)?s?$/i;
const HOW = /^(?:un)?balanced$/i;

/** The pieces, with a thing before its own input read as that input, where the trade knows one. */
export function asItsInput(pieces: readonly Piece[]): readonly Piece[] {
  return pieces.map((p, k): Piece => {
    if (p.read.is !== 'source' || p.named || k === 0) return p;
    const [how, into] = [pieces[k + 1], pieces[k + 2]];
    if (!how || !into || how.part !== p.part || into.part !== p.part) return p;
    if (!HOW.test(how.text) || !IN.test(into.text)) return p;
    const sense = phraseAt(`${p.text.toLowerCase()} input`, 0, false)?.sense;
    return sense?.is === 'input' ? { ...p, read: sense } : p;
  });
}
