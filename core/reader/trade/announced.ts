import type { Piece } from './pieces';
import { isMany } from './sides';

/** Words that are more than they seem: the letters of a multicore are a person's, and so is a lead; strings are played. */

/** "12 MC": where nobody plays and no socket is numbered, it is the one who announces. */
export function announced(pieces: readonly Piece[]): readonly Piece[] {
  const others = pieces.filter(({ read }) => !['channel', 'channels', 'number', 'note', 'filler'].includes(read.is));
  const [mc] = others;
  if (others.length !== 1 || mc.read.is !== 'input' || !/^mc$/i.test(mc.text)) return pieces;
  const next = pieces[pieces.indexOf(mc) + 1];
  if (next && ['channel', 'channels', 'number'].includes(next.read.is)) return pieces;
  return pieces.map((p): Piece => {
    if (p === mc)
      return { ...p, read: { is: 'instrument', instrument: 'speech', model: 'dynamic-mic', mic: 'speech' } };
    return p.read.is === 'number' ? { ...p, read: { is: 'channels', list: [p.read.value] } } : p;
  });
}

/** "Lead (condenser)", "Lead - wireless": where nothing else plays and no lead is meant, who sings it. */
export function led(pieces: readonly Piece[]): readonly Piece[] {
  const [lead, ...rest] = pieces.filter(({ read }) => read.is !== 'channels');
  const mic = rest.some(({ read }) => read.is === 'source' && SUNG_INTO.has(read.model));
  const other = rest.some(({ read }) => !['source', 'note', 'phantom', 'number', 'channel', 'input'].includes(read.is));
  if (!lead || !/^lead$/i.test(lead.text) || !mic || other) return pieces;
  return pieces.map((p): Piece =>
    p === lead ? { ...p, read: { is: 'instrument', instrument: 'vocals', model: 'dynamic-mic', mic: 'vocal' } } : p
  );
}
const SUNG_INTO: ReadonlySet<string> = new Set(['dynamic-mic', 'condenser-mic', 'ribbon', 'wireless-receiver']);

/** "string quartet, 4 clips": so many of them play strings, unless microphones before all of them are counted. */
export function strung(pieces: readonly Piece[]): readonly Piece[] {
  const at = pieces.findIndex((p, k) => /^strings?$/i.test(p.text) && ENSEMBLE.test(pieces[k + 1]?.text ?? ''));
  if (at < 0) return pieces;
  const counted = pieces.some((p, k) => k > at + 1 && isMany(p) && isMic(pieces[k + 1]) && !isMic(pieces[k - 1]));
  return pieces.map((p, k): Piece => {
    if (k === at)
      return { ...p, read: { is: 'instrument', instrument: 'violin', model: 'condenser-mic', mic: 'strings' } };
    return k === at + 1 && counted ? { ...p, read: { is: 'filler' } } : p;
  });
}
const ENSEMBLE = /^(?:trio|quartet|quintet|sextet)$/i;
/** A microphone, or what tells where it stands. */
const isMic = (p: Piece | undefined): boolean =>
  p !== undefined && (p.read.is === 'source' || p.read.is === 'instrument') && SUNG_INTO.has(p.read.model);
