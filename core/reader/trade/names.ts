import { modelOf } from '../../gear/catalogue';
import type { Piece } from './pieces';
import type { Device, Source } from './parts';
import { channelRun, counted } from './sides';

export const sideName = (sides: number, count: number, k: number): string =>
  sides > 1 && count <= 3 ? ['L', 'R', 'click'][k] : String(k + 1);
/** Words that make the name: those before a colon, or what is played with what nobody knows beside it. */
export function namePieces(pieces: readonly Piece[], source: Source, unknown: readonly Piece[]): Piece[] {
  const before = pieces.filter((p) => p.named);
  // "gtr amp: dynamic on the cab": the amplifier is what it is called after.
  const called = before.some((p) => p.read.is === 'amp') && source.at !== null && source.at > before.at(-1)!.to;
  if (called || before.some((p) => ['unknown', 'instrument', 'source', 'note', 'number'].includes(p.read.is)))
    return before.filter((p) => !['input', 'channel', 'sides'].includes(p.read.is));
  // What nobody knows is a name where a line begins, or where it is written like one; elsewhere it is a word not yet learnt.
  const said = unknown.find((p) => begins(p) && (p.part === 0 || /^\p{Lu}/u.test(p.text)));
  const first = pieces.find((p) => p.read.is === 'instrument') ?? said ?? pieces.find((p) => p.from === source.at);
  if (!first) return [];
  // What follows on "into", "with" or "without" is no name any more.
  const ends = pieces.find((p) => p.part === first.part && p.from > first.from && ENDS.test(p.text));
  const channels = channelRun(pieces);
  // "sax & trumpet" are both in the name.
  const parts = new Set([first.part]);
  const at = pieces.indexOf(first);
  const next = pieces[at + 1];
  if (next?.read.is === 'instrument' && next.part === first.part + 1 && next.from - first.to <= 3) parts.add(next.part);
  return pieces.filter(
    (p) =>
      parts.has(p.part) &&
      !channels.includes(p) &&
      !(p.read.is === 'number' && OUTPUTS.test(pieces[pieces.indexOf(p) + 1]?.text ?? '')) &&
      !(ends && p.from > ends.from) &&
      begins(p) &&
      ['unknown', 'instrument', 'number', 'note'].includes(p.read.is) &&
      !(p.read.is === 'number' && counted(pieces, p) && pieces[pieces.indexOf(p) + 1].read.is !== 'instrument')
  );
}

/** "8 outs" tells how many. */
const OUTPUTS = /^(?:outs|outputs|ins|inputs|channels|chs?)$/i;
const ENDS =
  /^(?:to|into|in|on|from|with|w\/?|without|through|via|at|by|used|wired|it|which|that|straight|direct(?:ly)?|goes|going|being)\b/i;
/** A name begins with a letter or a figure: the rest of a word that was cut at its hyphen is none. */
const begins = (p: Piece): boolean => /^[\p{L}\d]/u.test(p.text);

export function nameOf(text: string, pieces: readonly Piece[], source: Source, unknown: readonly Piece[]): string {
  const words = namePieces(pieces, source, unknown).map((p) => text.slice(p.from, p.to).trim());
  const told = words.join(' ');
  // A number alone is which of several it is: "matrix 3".
  const of = /^\d*$/.test(told) ? pieces.find((p) => p.from === source.at)?.text : undefined;
  const name = [of, told].filter(Boolean).join(' ') || pieces.find((p) => p.from === source.at)?.text || 'Line';
  return name[0].toUpperCase() + name.slice(1);
}

export const plain = ({ model, settings }: Device) => {
  const { params, options } = modelOf(model);
  const own = Object.entries(settings).filter(
    ([key, value]) => value !== params[key]?.typ && value !== options[key]?.default
  );
  return { model, settings: Object.fromEntries(own) };
};
