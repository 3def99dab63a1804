import type { Piece } from './pieces';

/** What leaves a desk by an aux: "aux 3 to the IEM sender", "aux 4 -> subs", "aux 6 to drum fill amp". The aux is where it comes from, and its number is no channel. */

const AUX = /^aux(?: sends?| outs?)?$/i;
/** Loudspeakers by what they are for. */
const FOR = /^(?:subs?|subwoofers?|wedges?|fills?|side ?fills?|front ?fills?|delays?)$/i;
/** Words that say that it goes on from there. */
const ON = /^\s*(?:\d+(?:\s*[/+&-]\s*\d+)?\s*)?(?:(?:sends?|outs?|mix)\s+)?(?:to\b|into\b|feeds?\b|for\b|->|→|>)/i;

export function fromAux(text: string, pieces: readonly Piece[]): readonly Piece[] {
  const aux = pieces.find((p) => !p.named && AUX.test(p.text) && ['input', 'source'].includes(p.read.is));
  if (!aux) return pieces;
  const others = pieces.filter((p) => p !== aux && !p.named);
  const played = others.some((p) => p.read.is === 'source' || p.read.is === 'instrument');
  const ends = others.some(
    (p) => p.read.is === 'input' || p.read.is === 'amp' || (p.read.is === 'unknown' && FOR.test(p.text))
  );
  const goesOn = pieces[0] === aux && ON.test(text.slice(aux.to));
  if (!ends || (played && !goesOn)) return pieces;
  const k = pieces.indexOf(aux);
  return pieces.map((p, n): Piece => {
    if (n === k) return { ...p, read: { is: 'source', model: 'line-balanced', weight: 55 } };
    if (p.read.is === 'unknown' && FOR.test(p.text)) return { ...p, read: { is: 'input', model: 'speaker-in' } };
    if (n !== k + 1 || p.read.is !== 'channels') return p;
    // "aux 5/6" is a stereo send, "aux 1-4" are four.
    const { list } = p.read;
    if (list.length > 2) return { ...p, read: { is: 'times', count: list.length } };
    return { ...p, read: list.length > 1 ? { is: 'sides' } : { is: 'number', value: list[0] } };
  });
}
