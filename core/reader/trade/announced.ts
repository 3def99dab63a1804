import type { Piece } from './pieces';

/** The trade's letters for a multicore are a person's, too. */

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
