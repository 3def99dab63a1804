import { same } from '../plan/json';
import type { Json } from '../plan/schema';
import type { Venue, VenueSocket } from './schema';

/** What is known of the sockets of a place, and what people log of them. */

const STATES: readonly (readonly [RegExp, VenueSocket['is'] | 'works'])[] = [
  [/\bworks? again\b|\b(?:repaired|mended|fixed|ok(?:ay)? (?:again|now)|alive again)\b/i, 'works'],
  [/\b(?:no|without|lost|dead) phantom\b|\bphantom (?:dead|gone|missing|off)\b/i, 'no-phantom'],
  [/\b(?:dead|broken|bust(?:ed)?|defect(?:ive)?|does(?:n[’']t| not) work|no signal|duff|u\/s)\b/i, 'dead'],
  [/\b(?:nois[ey]\w*|crackl\w+|hum\w*|buzz\w*|intermittent|loose)\b/i, 'noisy']
];
/** How stage boxes are called: a letter or two, a number, a side; `is` and the like are none. */
const BOX = '(?:stage\\s*)?(?:box|snake|multi(?:core)?|sub-?snake|rack)';
const CALLED = '(?!(?:is|in|on|at|no|to|of|it)\\b)(\\d{1,2}|[a-z]{1,2}\\d{0,2}|left|right|front|back)\\b';
const SOCKET = new RegExp(
  [
    `\\b(?:sockets?|inputs?|ways?)\\s*#?\\s*([\\d\\s,&+#]+?(?:and\\s*\\d+)?)\\s+(?:of|on|in|at)\\s+(?:the\\s+)?${BOX}(?:\\s+${CALLED})?`,
    `\\b${BOX}(?:\\s+${CALLED})?\\s*[,:]?\\s*(?:sockets?|inputs?|ways?)\\s*#?\\s*(\\d{1,3})\\b`,
    '\\bsockets?\\s*#?\\s*(\\d{1,3})\\b'
  ].join('|'),
  'iu'
);

/**
 * What somebody logged of a socket: `socket 7 of stage box A is dead`.
 * @returns null where it tells of none
 */
export function socketIn(
  text: string
): { box: string; sockets: readonly number[]; is: VenueSocket['is'] | 'works' } | null {
  const m = SOCKET.exec(text);
  const state = STATES.find(([words]) => words.test(text));
  if (!m || !state) return null;
  const [, some, boxOf, boxBefore, one, alone] = m;
  const sockets = (some ?? one ?? alone).match(/\d{1,3}/g) ?? [];
  return { box: (boxOf ?? boxBefore ?? '').toUpperCase(), sockets: sockets.map(Number), is: state[1] };
}

/** The place after that was logged of one of its sockets; null where nothing is new. */
export function hearOf(venue: Venue, text: string): Venue | null {
  const heard = socketIn(text);
  if (!heard) return null;
  const { box, sockets, is } = heard;
  const others = venue.sockets.filter((s) => s.box.toUpperCase() !== box || !sockets.includes(s.socket));
  const now = is === 'works' ? [] : sockets.map((socket): VenueSocket => ({ box, socket, is, note: '' }));
  const all = [...others, ...now].sort((a, b) => (a.box < b.box ? -1 : a.box > b.box ? 1 : a.socket - b.socket));
  return same(all as unknown as Json, venue.sockets as unknown as Json) ? null : { ...venue, sockets: all };
}
