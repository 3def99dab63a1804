import type { Piece } from './pieces';

/** Shortest and longest run that anybody writes without its unit, metres. */
const LEAST = 5;
const MOST = 100;

/** "xlr 20, SB 4": behind the name of a run, and with its channel said elsewhere, a bare number is metres. */
export function bareMetres(pieces: readonly Piece[]): readonly Piece[] {
  if (!pieces.some(({ read, named }) => read.is === 'channels' && !named)) return pieces;
  return pieces.map((p, k): Piece => {
    const before = pieces[k - 1];
    const next = pieces[k + 1];
    const run = before?.read.is === 'cable' && before.read.kind === 'mic' && before.part === p.part;
    const ends = next === undefined || next.part !== p.part || next.read.is === 'input';
    if (!run || !ends || p.read.is !== 'number' || p.read.value < LEAST || p.read.value > MOST) return p;
    return { ...p, read: { is: 'length', metres: p.read.value } };
  });
}
