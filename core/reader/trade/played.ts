import type { Piece, Read } from './pieces';

/** What is played: of all instruments that were said the one that is meant. */

export type Of<I extends Read['is']> = Piece & { readonly read: Extract<Read, { is: I }> };
export const isOf =
  <I extends Read['is']>(...names: I[]) =>
  (piece: Piece): piece is Of<I> =>
    (names as string[]).includes(piece.read.is);

/** A "rack interface" is no tom. */
export const isAdjective = (pieces: readonly Piece[], p: Piece): boolean =>
  /^rack$/i.test(p.text) && pieces.some((o) => o !== p && (o.read.is === 'source' || o.read.is === 'instrument'));

/** The instrument that is meant, and whether a bass guitar is among those that were said. */
export function playedIn(pieces: readonly Piece[]): { instrument: Of<'instrument'> | null; bass: boolean } {
  const all = pieces.filter(isOf('instrument')).filter((p) => !isAdjective(pieces, p));
  // Five strings say which bass; a "5-string banjo" is none.
  const other = all.some((p) => !['five-string-bass', 'programme'].includes(p.read.instrument));
  const ofBass = all.some((p) => p.read.instrument === 'bass-guitar' || /bass/i.test(p.text));
  const instruments = other && !ofBass ? all.filter((p) => !/^(?:5|five)[\s-]?str/i.test(p.text)) : all;
  const bass = instruments.some((p) => ['bass-guitar', 'five-string-bass'].includes(p.read.instrument));
  // The first that is no name, and of names the first.
  const five = instruments.find((p) => p.read.instrument === 'five-string-bass');
  // An "electric" double bass is no guitar, a "guest acoustic" no speaker, and a bass with pedals none either.
  // "lead vox, cond hh" is handheld.
  const voice = instruments.some((p) => ['vocals', 'speech'].includes(p.read.instrument));
  const tells = (p: Piece): boolean =>
    /^(?:elec(?:tric)?|guests?|host|pedals?|pedal ?board|fx board)$/i.test(p.text) || (voice && /^hh$/i.test(p.text));
  const body = instruments.filter(
    (p) => !p.named && p.read.instrument !== 'programme' && !(tells(p) && instruments.some((o) => !tells(o)))
  );
  const bassOnly = instruments.every((p) => /^(?:e-?)?bass$/i.test(p.text) || p.read.instrument === 'upright-bass');
  const upright = bassOnly && bass ? instruments.find((p) => p.read.instrument === 'upright-bass') : undefined;
  // A "guitar" whose name says which.
  const acoustic = instruments.find((p) => p.read.instrument === 'acoustic-guitar');
  const said = body[0] ?? instruments[0];
  const bare =
    said?.read.instrument === 'guitar' && /^(?:guitar|gtr|git|gt|gitarre|guitare|guitarra|chitarra)$/i.test(said.text);
  const instrument =
    five ??
    // "Bass (upright)".
    upright ??
    (bare ? acoustic : null) ??
    // A near miss tells less than a word as it is spelt.
    body.find((p) => p.as === undefined) ??
    body[0] ??
    instruments.find((p) => p.read.instrument !== 'programme') ??
    instruments[0] ??
    null;
  return { instrument, bass };
}
