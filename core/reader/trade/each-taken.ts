import { MICS } from './evidence';
import { ARROW, isRig, MANY_OF, partsOf, plays, WAYS } from './parts-of-text';
import type { Piece } from './pieces';
import { isMicOrReceiver, isPickup } from './rigs';

/** Parts that each say one thing and how it is taken: as many things, though nothing says how many. */

export interface Part {
  readonly player: Piece | null;
  readonly by: 'di' | 'mic' | 'line' | null;
}

/** "bass DI, keys DI", "kick mic / bass DI", "lectern mic, laptop DI, handheld wireless": each unlike the others. */
export function isEachTaken(text: string, pieces: readonly Piece[]): boolean {
  if (ARROW.test(text) || pieces.some((p) => WAYS.has(p.read.is) && !isRig(p))) return false;
  const parts = partsOf(pieces.filter((p) => !p.named)).map(taken);
  return parts.length > 1 && parts.every(({ player, by }) => player !== null && by !== null) && areUnlike(parts);
}

/** Whether each of them is of another thing than all the others. */
export const areUnlike = (parts: readonly Part[]): boolean =>
  parts.every((one, k) => parts.slice(k + 1).every((other) => isOther(one, other)));

/** What one part says of one thing. */
export function taken(part: readonly Piece[]): Part {
  const named = part.filter(plays);
  const players = named.length > 0 ? named : part.filter(isDevice);
  const [player] = players;
  const by = part.some(({ read }) => read.is === 'di')
    ? 'di'
    : part.some(isMic)
      ? 'mic'
      : part.some(isLine)
        ? 'line'
        : null;
  return { player: players.length === 1 ? player : null, by };
}

/** Whether two parts are of two things: another instrument, or the same taken in another way, or by another name. */
function isOther(one: Part, other: Part): boolean {
  const [a, b] = [instrumentOf(one), instrumentOf(other)];
  if (a === null || a !== b || one.by !== other.by) return true;
  const names = one.player!.text.toLowerCase() !== other.player!.text.toLowerCase();
  return names && (one.by === 'di' || MANY_OF.has(a) || UNLIKE.has(a));
}
/** Of these, what is called by two names is two. */
const UNLIKE: ReadonlySet<string> = new Set(['keys', 'speech', 'vocals']);
const instrumentOf = ({ player }: Part): string | null =>
  player?.read.is === 'instrument' || player?.read.is === 'source' ? (player.read.instrument ?? null) : null;

const modelIn = ({ read }: Piece): string | null => (read.is === 'source' ? read.model : null);
/** A microphone that is called by what it stands before, a transmitter's receiver, or a thing with an output of its own. */
function isDevice(p: Piece): boolean {
  const model = modelIn(p);
  if (model === null || p.named || isPickup(model)) return false;
  return MICS.has(model) ? instrumentOfMic(p) || (/\bmics?$/i.test(p.text) && !OF_NO_THING.test(p.text)) : true;
}
const instrumentOfMic = ({ read }: Piece): boolean => read.is === 'source' && read.instrument !== undefined;
/** It tells which kind of microphone, and of nothing. */
const OF_NO_THING =
  /^(?:dyn|cond|rib|small|large|sdc|ldc|pencil|boundary|shotgun|clip|mics?|spot|stereo|tube|valve|vocal cond)/i;
/** A microphone or a receiver, or what is seldom taken by anything else. */
const isMic = (p: Piece): boolean => {
  const model = modelIn(p);
  if (model !== null) return isMicOrReceiver(model);
  const { read, text } = p;
  return (
    /^mics?$/i.test(text) || (read.is === 'instrument' && MIKED.has(read.instrument) && !/^(?:drums?|perc)/i.test(text))
  );
};
const MIKED: ReadonlySet<string> = new Set(['vocals', 'drums', 'percussion']);
const isLine = (p: Piece): boolean =>
  (p.read.is === 'instrument' && p.read.instrument === 'programme') || (modelIn(p) !== null && isDevice(p));
