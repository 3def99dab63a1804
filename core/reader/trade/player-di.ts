import { cut } from './cut';
import type { Piece } from './pieces';
import { isMicOrReceiver } from './rigs';

/** "laptop DI 5", "playback DI 7/8": what is named after what it is for is the player and its DI, where nothing else is played into it. */

const FOR_A_PLAYER = /^(?:(stereo|dual)\s+)?(laptop|pc|computer|playback|media player)\s+(?=di\b)/i;
const PLAYED: ReadonlySet<string> = new Set(['source', 'instrument', 'click']);

/** Each such DI as two pieces. @param text all that was typed, in which pieces have their places */
export function playersAndDis(text: string, pieces: readonly Piece[]): readonly Piece[] {
  return pieces.flatMap((p, k) => {
    const found = p.read.is === 'di' ? FOR_A_PLAYER.exec(p.text) : null;
    if (!found || hasPlayer(text, pieces, k)) return [p];
    const [whole, sides = '', player] = found;
    const rest = p.text.slice(whole.length);
    const at = (piece: Piece, from: number): Piece => ({ ...piece, from, to: from + piece.text.length, part: p.part });
    const lead = whole.length - player.length - (/\s+$/.exec(whole)?.[0].length ?? 0) - sides.length;
    return [
      ...(sides ? cut(sides).map((piece) => at(piece, p.from)) : []),
      ...cut(player).map((piece) => at({ ...piece, named: p.named }, p.from + sides.length + lead)),
      ...cut(rest).map((piece) => at(piece, p.from + whole.length + piece.from))
    ];
  });
}

/** A voice, a microphone, a receiver: nothing that one plugs into a DI. */
const isMic = ({ read }: Piece): boolean =>
  (read.is === 'source' || read.is === 'instrument') && read.model !== undefined && isMicOrReceiver(read.model);

/** Whether something is played into the DI at `k`: said before it, and not taken by another DI already. */
function hasPlayer(text: string, pieces: readonly Piece[], k: number): boolean {
  const before = pieces.slice(0, k);
  const last = before.map((p) => p.read.is).findLastIndex((is) => is === 'di' || is === 'box');
  if (before.slice(last + 1).some((p) => (PLAYED.has(p.read.is) || p.read.is === 'unknown') && !p.named && !isMic(p))) {
    const joined = text.slice(before[before.length - 1].to, pieces[k].from);
    return !/[+&]|\band\b/i.test(joined);
  }
  // Its player is said behind it: "laptop DI for the DJ mixer".
  return (
    last < 0 &&
    pieces
      .slice(k + 1)
      .some((p) => PLAYED.has(p.read.is) && /\b(?:for|from|on)\b/i.test(text.slice(pieces[k].to, p.from)))
  );
}
