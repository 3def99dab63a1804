import type { Piece } from './pieces';

/** Words for a thing that are a person's, too: the letters of a multicore, a lead. */

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
