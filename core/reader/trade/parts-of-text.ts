import type { Piece } from './pieces';

/** Parts of what was typed: what stands between commas, strokes and arrows. */

/** It says what there is: an instrument, or a thing that gives a signal. */
export const tells = ({ read, named }: Piece): boolean => !named && (read.is === 'instrument' || read.is === 'source');

/** It is said of all that stand before it. */
export const OF_ALL = /^(?:all|each|both)$/i;

/** In the plural, or behind "all", it is of all that stand before it. */
const isShared = ({ read, text }: Piece): boolean =>
  OF_ALL.test(text) ||
  ((read.is === 'source' || read.is === 'di') && /[^s]s$/i.test(text)) ||
  (read.is === 'note' && /^clips$/i.test(text));

/** Where what is said of all begins in a part: "keys passive DIs"; −1 where nothing is. */
export function sharedFrom(part: readonly Piece[]): number {
  let at = part.findIndex(isShared);
  while (at > 0 && part[at - 1].read.is === 'quality') at--;
  return at;
}

/** An amplifier or a cabinet that is somebody's: "gtr amp", "bass cab", "4x12". */
export const isRig = ({ read, named, text }: Piece): boolean => !named && read.is === 'amp' && RIG.test(text);
const RIG = /^(?:guitar|gtr|bass|ampd|amped|combo|[124]x1[02]|half|full)\b(?!.*\bin$)/i;
/** Something that is heard: what tells what there is, or an amplifier that a microphone stands before. */
export const sounds = (p: Piece): boolean => tells(p) || isRig(p);

/** It plays: an instrument, or an amplifier that somebody plays. */
export const plays = (p: Piece): boolean => (!p.named && p.read.is === 'instrument') || isRig(p);
/** Of which a kit or a section has several that are unlike. */
export const MANY_OF: ReadonlySet<string> = new Set(['drums', 'percussion', 'brass', 'saxophone', 'flute']);
/** It tells which of them it is: "5-string violin, electric" is one. */
export const TELLS_WHICH = /^(?:\d|five|elec(?:tric)?$|acoustic$|pedals?$)/i;
/** Which way it goes: then it is one thing. */
export const WAYS: ReadonlySet<string> = new Set(['length', 'input', 'box', 'amp', 'level', 'ohm']);
/** Words and signs of a way. */
export const ARROW = /->|=>|→|>|\b(?:to|into|via|through)\b/;

/** Pieces by the part that they stand in. */
export function partsOf(pieces: readonly Piece[]): Piece[][] {
  const parts = new Map<number, Piece[]>();
  for (const p of pieces) parts.set(p.part, [...(parts.get(p.part) ?? []), p]);
  const [first, second, ...rest] = [...parts.values()];
  // A channel that begins the whole belongs to what comes next.
  return second && first.every(({ read }) => read.is === 'channel' || read.is === 'channels')
    ? [[...first, ...second], ...rest]
    : [...parts.values()];
}

/** What was typed, without some of its pieces. */
export function textOf(text: string, some: readonly Piece[], without: ReadonlySet<Piece> = new Set()): string {
  const left = some.filter((p) => !without.has(p));
  return left.map((p, k) => (k > 0 && p.part !== left[k - 1].part ? ', ' : ' ') + text.slice(p.from, p.to)).join('');
}

/** Words for all of those that are told one by one: "horns: trumpet, trombone". */
export const SECTION = /\b(?:section|horns|brass|strings|winds|drums|drum ?kit|kit|percussion|perc|quartet|quintet)$/i;

/** What was typed, without the word for all of them that stands before the first. */
export function withoutSection(pieces: readonly Piece[]): readonly Piece[] {
  const first = pieces.findIndex((p) => !p.named);
  const next = pieces[first + 1];
  const plays = (p: Piece | undefined): boolean => p?.read.is === 'instrument';
  const whole = first >= 0 && plays(pieces[first]) && SECTION.test(pieces[first].text);
  const goesOn = plays(next) || (next?.read.is === 'number' && plays(pieces[first + 2]));
  return whole && goesOn && next.part === pieces[first].part ? pieces.filter((_, k) => k !== first) : pieces;
}

/** Whether it stands in brackets. */
export const inBrackets = (text: string, p: Piece): boolean => {
  const before = text.slice(0, p.from);
  return (
    Math.max(before.lastIndexOf('('), before.lastIndexOf('[')) >
    Math.max(before.lastIndexOf(')'), before.lastIndexOf(']'))
  );
};
