import { modelOf } from '../../gear/catalogue';
import { SECTION } from './parts-of-text';
import type { Piece } from './pieces';
import { MICS } from './evidence';
import { type Device, OVER, type Source } from './parts';
import { isAdjective } from './played';
import { channelRun, channelsSaid, counted, ofWhatKind, ONE_OF_ITS_KIND } from './sides';

export const sideName = (sides: number, count: number, k: number): string =>
  sides > 1 && count <= 3 && (k < 2 || sides === 3) ? ['L', 'R', 'click'][k] : String(k + 1);
/** Words that make the name: those before a colon, or what is played with what nobody knows beside it. */
export function namePieces(all: readonly Piece[], source: Source, unknown: readonly Piece[]): Piece[] {
  // "Kit: kick in/out" is called after what is in it.
  const ofAll = all.filter((p) => p.named);
  const told = all.some((p) => !p.named && p.read.is === 'instrument');
  const section = ofAll.length === 1 && ofAll[0].read.is === 'instrument' && SECTION.test(ofAll[0].text);
  const pieces = told && section ? all.filter((p) => !p.named) : all;
  const before = pieces.filter((p) => p.named);
  // "gtr amp: dynamic on the cab": the amplifier is what it is called after.
  const called = before.some((p) => p.read.is === 'amp') && source.at !== null && source.at > before.at(-1)!.to;
  if (called || before.some((p) => ['unknown', 'instrument', 'source', 'note', 'number'].includes(p.read.is)))
    return before.filter((p) => !['input', 'channel', 'sides'].includes(p.read.is));
  // Behind "for" or "into" it is no name.
  const isBehind = (p: Piece): boolean =>
    pieces.some((o) => o.part === p.part && o.from < p.from && o.read.is === 'filler' && ENDS.test(o.text));
  // What nobody knows is a name where a line begins, or where it is written like one; elsewhere it is a word not yet learnt.
  const said = unknown.find(
    (p) => begins(p) && !/^[LR]$/.test(p.text) && (p.part === 0 || /^\p{Lu}/u.test(p.text)) && !isBehind(p)
  );
  const first =
    pieces.find((p) => p.read.is === 'instrument' && !isAdjective(pieces, p)) ??
    said ??
    // "wireless lectern mic rx" is whose microphone it is.
    pieces.find((p) => p.read.is === 'source' && p.read.instrument === 'speech' && source.at !== null) ??
    pieces.find((p) => p.from === source.at);
  if (!first) return [];
  // What follows on "into", "with" or "without" is no name any more.
  const ends = pieces.find((p) => p.part === first.part && p.from > first.from && ENDS.test(p.text));
  const channels = channelRun(pieces);
  const last = pieces[pieces.length - 1];
  // "clav active DI 17": its channel; "vox 2" is which of them.
  if (
    last.read.is === 'number' &&
    channelsSaid(pieces).includes(last.read.value) &&
    pieces[pieces.length - 2]?.read.is !== 'instrument'
  )
    channels.push(last);
  // "woodwinds 6 cond ch 21-26": so many.
  const asMany = channelsSaid(all).length;
  // "sax & trumpet" are both in the name.
  const parts = new Set([first.part]);
  const at = pieces.indexOf(first);
  const next = pieces[at + 1];
  if (next?.read.is === 'instrument' && next.part === first.part + 1 && next.from - first.to <= 3) parts.add(next.part);
  return pieces.filter(
    (p) =>
      parts.has(p.part) &&
      !channels.includes(p) &&
      !isAdjective(pieces, p) &&
      !(p.read.is === 'number' && OUTPUTS.test(pieces[pieces.indexOf(p) + 1]?.text ?? '')) &&
      !(ends && p.from > ends.from) &&
      begins(p) &&
      (['unknown', 'instrument', 'number', 'note'].includes(p.read.is) ||
        // "conga lo".
        (p.read.is === 'filler' && WHICH.test(p.text) && pieces[pieces.indexOf(p) - 1]?.read.is === 'instrument') ||
        // "RF1" is the socket that it is called after.
        (p.read.is === 'source' && /^rf[\s-]?\d/i.test(p.text)) ||
        (p.read.is === 'times' &&
          /^1\s?[-–]/.test(p.text) &&
          pieces[pieces.indexOf(p) - 1]?.read.is === 'instrument')) &&
      !(
        p.read.is === 'number' &&
        counted(pieces, p) &&
        (!isWhich(pieces, p) || (asMany > 2 && asMany === p.read.value))
      )
  );
}

const WHICH = /^(?:hi|lo|mid|inner|outer)$/i;
/** "vox 1 wireless" tells which of several it is, "2 keys" is a name as it stands. */
function isWhich(pieces: readonly Piece[], number: Piece): boolean {
  const k = pieces.indexOf(number);
  const next = pieces[k + 1];
  if (ofWhatKind(pieces, next) || OVER.test(next.text)) return false;
  const before = pieces[k - 1];
  return (
    next.read.is === 'instrument' ||
    (before?.read.is === 'instrument' && !/[^s]s\b/i.test(next.text) && !ONE_OF_ITS_KIND.test(before.text))
  );
}

/** "snare top/bottom", "kick in + out": two places at one thing. */
const PLACES =
  /\b(top|t|upper|in|inside|hi|high|front|near|inner|dessus|oben|sopra|arriba|boven)(?:\s+mic)?\s*(?:\/|\+|&|and|,)\s*(bottom|btm|bot|b|lower|out|outside|lo|low|back|rear|far|outer|dessous|unten|sotto|abajo|onder)\b/i;
/** Whether two places at one thing were said. */
export const saysPlaces = (text: string): boolean => PLACES.test(text);

/** Whether a word is one of the two places that were said. */
export const isPlace = (text: string, word: string): boolean =>
  (PLACES.exec(text) ?? []).slice(1).some((one) => one.toLowerCase() === word.toLowerCase());

/** Names of two microphones at two places of one thing; null where none were said. */
export function placeNames(text: string, name: string): readonly [string, string] | null {
  const said = PLACES.exec(text);
  if (!said) return null;
  const [whole, first, second] = said;
  const bare = name
    .replace(whole, '')
    .replace(new RegExp(`\\s+${first}$`, 'i'), '')
    .trim();
  return bare === '' ? null : [`${bare} ${place(first)}`, `${bare} ${place(second)}`];
}

/** "T/B" in full. */
const place = (word: string): string => ({ t: 'top', b: 'bottom' })[word.toLowerCase()] ?? word.toLowerCase();

/** "8 outs" tells how many. */
const OUTPUTS = /^(?:outs|outputs|ins|inputs|channels|chs?)$/i;
const ENDS =
  /^(?:to|into|in|on|from|with|w\/?|without|through|via|at|by|for|used|wired|it|which|that|straight|direct(?:ly)?|goes|going|being)\b/i;
/** A name begins with a letter or a figure: the rest of a word that was cut at its hyphen is none. */
const begins = (p: Piece): boolean => /^[\p{L}\d]/u.test(p.text);

const isMore = (p: Piece, source: Piece): boolean =>
  !p.named && p.read.is === 'unknown' && p.from > source.from && /^\p{Ll}/u.test(p.text);

export function nameOf(text: string, pieces: readonly Piece[], source: Source, unknown: readonly Piece[]): string {
  const called = namePieces(pieces, source, unknown);
  const words = called.map((p) => text.slice(p.from, p.to).trim());
  const told = words.join(' ').replace(/(?<=\p{L})- (?=\p{L})/gu, '-');
  // A number alone, or a side, is which of several it is: "matrix 3", "loop station L".
  const which = /^(?:\d*|[LR])$/.test(told);
  // "tv on wall", "dvd player isolated": a word that nobody knows, behind what gives the signal, says more of that.
  const of = pieces.find((p) => p.from === source.at && p.read.is === 'source' && p.part === 0);
  const more = of !== undefined && called.length > 0 && called.every((p) => isMore(p, of));
  // Before a cabinet it is the cabinet's: "gtr cab dyn".
  const cabinet = MICS.has(source.model) ? pieces.find((p) => p.read.is === 'amp')?.text : undefined;
  const said = which || more ? (cabinet ?? pieces.find((p) => p.from === source.at)?.text) : undefined;
  const name = ([said, told].filter(Boolean).join(' ') || 'Line').replace(/['’]s$/i, '');
  return name[0].toUpperCase() + name.slice(1);
}

export const plain = ({ model, settings }: Device) => {
  const { params, options } = modelOf(model);
  const own = Object.entries(settings).filter(
    ([key, value]) => value !== params[key]?.typ && value !== options[key]?.default
  );
  return { model, settings: Object.fromEntries(own) };
};
