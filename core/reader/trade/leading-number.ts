import type { Piece } from './pieces';
import { inBrackets, isRig } from './parts-of-text';
import { ONE_OF_ITS_KIND } from './sides';

/** A number that begins what was typed, or stands in brackets: how many there are, or the channel of a row of a list. */

/** Nobody has so many of one thing without a plural. */
const MOST_WITHOUT_PLURAL = 4;
/** What is said in one form for one and for several. */
const BOTH_WAYS = /^(?:lead |backing |b)?(?:vox|bvs?|bgvs?|vocals?|perc|keys|drums|brass|strings|horns)$/i;
/** Of which there is one in a band. */
const SINGLE = /^(?:kick|snare|bass|hi-?hat|hat|cajon|e-?bass)\b/i;

/** "6 Gtr cab dyn", "12 Cello piezo, DI": a number before one thing, with no other channel, is its channel; "2 guitars" and "4 vox" tell how many. */
export function leadingNumber(pieces: readonly Piece[]): readonly Piece[] {
  const [first, what] = pieces;
  const before = what !== undefined && what.part === first.part && (what.read.is === 'instrument' || isRig(what));
  if (first?.read.is !== 'number' || first.named || !before) return pieces;
  const { value } = first.read;
  const taken = pieces.some(({ read }) => ['source', 'di', 'box', 'quality', 'phantom'].includes(read.is));
  const channels = pieces.some((p) => p.read.is === 'channels' || (p !== first && p.read.is === 'number'));
  const several = /[^s]s$/i.test(what.text) || BOTH_WAYS.test(what.text) || /^string/i.test(what.text);
  if (!taken || channels || several || value > 99 || (value === 1 && !SINGLE.test(what.text))) return pieces;
  const one = SINGLE.test(what.text) || ONE_OF_ITS_KIND.test(what.text);
  if (value <= MOST_WITHOUT_PLURAL && !one) return pieces;
  return [{ ...first, read: { is: 'channels', list: [value] } }, ...pieces.slice(1)];
}

const MOST_IN_BRACKETS = 8;
/** "whistle (shared with singer 2)": in brackets behind one that plays, the number of another is no channel. */
export const ofAnother = (text: string, pieces: readonly Piece[]): readonly Piece[] =>
  pieces.map((p, k): Piece => {
    const whose = pieces[k - 1];
    const another =
      p.read.is === 'number' &&
      whose?.read.is === 'instrument' &&
      inBrackets(text, whose) &&
      inBrackets(text, p) &&
      pieces.slice(0, k - 1).some((o) => o.read.is === 'instrument' && !inBrackets(text, o));
    return another ? { ...p, read: { is: 'filler' } } : p;
  });

/** "OHs (2)", "vocals (3)": in brackets behind what is said in the plural it tells how many; "bass (1), keys (2)" are channels. */
export function bracketed(text: string, pieces: readonly Piece[]): readonly Piece[] {
  const isBracketed = (p: Piece): boolean =>
    p.read.is === 'number' && /\(\s*$/.test(text.slice(0, p.from)) && /^\s*\)/.test(text.slice(p.to));
  const isOne = (p: Piece, k: number): boolean => {
    const what = pieces[k - 1];
    return (
      p.read.is === 'number' &&
      p.read.value > 1 &&
      p.read.value <= MOST_IN_BRACKETS &&
      isBracketed(p) &&
      what?.read.is === 'instrument' &&
      /[^s]s$/i.test(what.text) &&
      !/^keys$/i.test(what.text)
    );
  };
  const ones = pieces.filter(isOne);
  if (ones.length !== 1 || pieces.filter(isBracketed).length > 1) return pieces;
  // "4 OHs (2)": the number before them is their channel.
  return pieces.map((p, k): Piece => {
    if (p.read.is !== 'number') return p;
    if (p === ones[0]) return { ...p, read: { is: 'times', count: p.read.value } };
    return k === 0 && pieces[2] === ones[0] ? { ...p, read: { is: 'channels', list: [p.read.value] } } : p;
  });
}
