import { nameKey } from '../text/names';
import { parseQuantity } from '../units/parse';
import { hearOf } from './sockets';
import type { Venue, VenueBox, VenueRun } from './schema';

/** What somebody types of a place, one thing at a time: `stage box A: 32 sockets, 40 m, stage left`, `tie line 2 from stage to studio, 25 m, 8 ways`, `riser to box A 12 m`. */

const METRES = /(\d+(?:[.,]\d+)?)\s*(m|metres?|meters?|ft|feet|foot)\b/iu;
const COUNT = /(\d{1,3})\s*(?:x\s*)?(?:sockets?|inputs?|ins?|ways?|channels?|ch|lines?|pairs?)\b/iu;
const LEVEL =
  /\b(?:max(?:imum)?|at most|up to|takes?|clips at)\s*(?:input\s*)?(?:level\s*)?(?:of\s*)?([+−-]?\s?\d+(?:[.,]\d+)?)\s*dBu\b|([+−-]?\s?\d+(?:[.,]\d+)?)\s*dBu\s*(?:max(?:imum)?|at most)?/iu;
const PAD = /\b(?:no|without)\s+pads?\b|[−-]?(\d{1,2})\s*dB\s*pads?\b|\bpads?\s*(?:of\s*)?[−-]?(\d{1,2})\s*dB\b/iu;
const BOX =
  /^(?:(?:the\s+)?(?:stage\s*box|snake|multi(?:core)?|wall\s*(?:box|panel|plate)|floor\s*box|patch\s*bay|box))\s*([\p{L}\p{N}]{1,12}(?=[\s,:;]|$))?\s*[:,]?\s*/iu;
/** Words that begin what is said of a box, and are not what it is called. */
const NO_NAME = /^(?:has|is|with|at|on|in|and|of|to|from|no|stage|left|right)$/iu;
/** Boxes that are called by their kind as well. */
const OTHER_BOX = /\b(?:wall\s*(?:box|panel|plate)|floor\s*box|patch\s*bay)\b/iu;
const TIE =
  /^(?:the\s+)?(?:tie\s*lines?|ties?|house\s*lines?|wall\s*lines?)\s*([\p{L}\p{N}-]{1,12}(?=[\s,:;]))?\s*[:,]?\s*/iu;
const WAY = /^(?:from\s+)?(.{1,60}?)\s*(?:\bto\b|→|->|–)\s*(?:the\s+)?(.{1,60}?)$/iu;
const DESK = /^(?:the\s+)?(?:house\s*)?(?:desk|console|mixer|foh)\s*(?:is|:|,)\s*/iu;
const ELECTRICIAN = /^(?:the\s+)?(?:house\s*)?(?:electrician|sparks?|technician|tech)\s*(?:is|:|,)?\s+/iu;

export type VenueHeard =
  | { readonly code: 'socket'; readonly venue: Venue }
  | { readonly code: 'box'; readonly venue: Venue; readonly box: VenueBox }
  | { readonly code: 'run'; readonly venue: Venue; readonly run: VenueRun }
  | { readonly code: 'desk' | 'electrician'; readonly venue: Venue; readonly text: string };

const metresOf = (text: string): number | null => {
  const said = METRES.exec(text);
  const read = said && parseQuantity('length', said[0]);
  return read?.ok ? read.value : null;
};
/** `max +18 dBu`: 18. */
const levelOf = (text: string): number | null => {
  const m = LEVEL.exec(text);
  const dbu = m ? Number((m[1] ?? m[2]).replace('−', '-').replace(',', '.').replace(/\s/g, '')) : NaN;
  return Math.abs(dbu) <= 40 ? dbu : null;
};
/** `20 dB pad`: 20; `no pads`: 0. */
const padOf = (text: string): number | null => {
  const m = PAD.exec(text);
  return m && Math.min(Number(m[1] ?? m[2] ?? 0), 40);
};
const without = (text: string, ...all: readonly RegExp[]): string =>
  all
    .reduce((left, one) => left.replace(one, ' '), text)
    .replace(/\b(?:to|from) (?:the )?(?:desk|foh|console)\b/giu, ' ')
    .replace(/\s*[,;:]\s*/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();

/** @returns the place with that known; null where it is not understood */
export function hearOfPlace(venue: Venue, typed: string): VenueHeard | null {
  const text = typed.trim();
  const socket = hearOf(venue, text);
  if (socket) return { code: 'socket', venue: socket };
  const desk = DESK.exec(text);
  if (desk && text.length > desk[0].length)
    return { code: 'desk', venue: { ...venue, desk: text.slice(desk[0].length) }, text: text.slice(desk[0].length) };
  const sparks = ELECTRICIAN.exec(text);
  if (sparks && text.length > sparks[0].length) {
    const who = text.slice(sparks[0].length);
    return { code: 'electrician', venue: { ...venue, electrician: who }, text: who };
  }
  return tieIn(venue, text) ?? boxIn(venue, text) ?? wayIn(venue, text, '', text);
}

function boxIn(venue: Venue, text: string): VenueHeard | null {
  const m = BOX.exec(text);
  const sockets = COUNT.exec(text);
  if (!m || !sockets) return null;
  // `box 2: 8 sockets` is called 2, `snake 24 channels` is not called 24.
  const called = m[1] !== undefined && (!/^\d+$/u.test(m[1]) || /[:,]\s*$/u.test(m[0]));
  const own = called && !NO_NAME.test(m[1]) ? m[1].toUpperCase() : '';
  const word = OTHER_BOX.exec(text)?.[0].replace(/\s+/g, ' ').toLowerCase() ?? '';
  const named = [word, own].filter(Boolean).join(' ');
  const rest = own === '' && m[1] ? text.slice(text.indexOf(m[1], 0)) : text.slice(m[0].length);
  const place = without(rest, METRES, COUNT, LEVEL, PAD, /\b(?:no|without|has|with|phantom|is|at|on|cable|away)\b/giu);
  const [maxDbu, pad] = [levelOf(text), padOf(text)];
  const box: VenueBox = {
    ...(maxDbu === null ? {} : { maxDbu }),
    ...(pad === null ? {} : { pad }),
    ...{ name: named.slice(0, 40), sockets: Number(sockets[1]), metres: metresOf(text) },
    ...{ phantom: !/\b(?:no|without) phantom\b/iu.test(text), place: place.slice(0, 80) }
  };
  const others = (venue.boxes ?? []).filter((b) => b.name.toUpperCase() !== box.name.toUpperCase());
  return { code: 'box', venue: { ...venue, boxes: [...others, box].sort((a, b) => (a.name < b.name ? -1 : 1)) }, box };
}

function tieIn(venue: Venue, text: string): VenueHeard | null {
  const m = TIE.exec(text);
  return m ? wayIn(venue, text.slice(m[0].length), (m[1] ?? '').toUpperCase() || 'tie', text) : null;
}

function wayIn(venue: Venue, way: string, tie: string, text: string): VenueHeard | null {
  const metres = metresOf(text);
  if (metres === null) return null;
  const ways = tie === '' ? null : COUNT.exec(way);
  const ends = WAY.exec(
    way
      .replace(METRES, ' ')
      .replace(ways ? COUNT : /$^/, ' ')
      .replace(/[\s,;:]+$/u, '')
      .replace(/\s*[,;:]\s*/g, ' ')
      .trim()
  );
  if (!ends) return null;
  const [from, to] = [ends[1], ends[2]].map((t) =>
    t.replace(/(?:\s*\b(?:is|are|about|roughly|it)\b)+\s*$/iu, '').trim()
  );
  if (from === '' || to === '') return null;
  const run: VenueRun = { from, to, metres, tie, ways: ways ? Number(ways[1]) : null };
  const key = ({ from: a, to: b, tie: t }: VenueRun): string => `${t} ${[nameKey(a), nameKey(b)].sort().join(' ')}`;
  const others = (venue.runs ?? []).filter((r) => key(r) !== key(run));
  return { code: 'run', venue: { ...venue, runs: [...others, run] }, run };
}

/** A distance that the place knows between two of its places, metres; null where it does not. */
export function distance(venue: Venue, a: string, b: string): number | null {
  const ends = new Set([nameKey(a), nameKey(b)]);
  const found = (venue.runs ?? []).find(
    (r) => ends.size === 2 && ends.has(nameKey(r.from)) && ends.has(nameKey(r.to)) && nameKey(r.from) !== nameKey(r.to)
  );
  return found?.metres ?? null;
}
