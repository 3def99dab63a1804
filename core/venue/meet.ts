import { applyEdit } from '../plan/edit';
import { diffPlans } from '../plan/diff';
import { copyOf, same } from '../plan/json';
import type { Json, Op, Plan } from '../plan/schema';
import { nameKey } from '../text/names';
import type { Venue, VenueSocket } from './schema';

/** A show and a place meet: what the place knows goes into the show, what the show has found goes into the place. */

type Supply = Plan['supplies'][string];

/** A supply without what is of one show alone: what was planned before it was measured there. */
function lasting({ planned: _, ...rest }: Supply): Supply {
  return rest;
}

export interface Meeting {
  /** The steps that make the show's supplies, mains and room those of the place; none where they are; null where they cannot be. */
  readonly ops: readonly Op[] | null;
  /** Supplies of the show that the place does not know: these are to be asked about. */
  readonly unknown: readonly string[];
  /** Supplies of the place that the show says otherwise: a measurement, or a plan. */
  readonly otherwise: readonly string[];
  /** Supplies of the place that the show does not have. */
  readonly brings: readonly string[];
  /** The room or the mains is planned otherwise. */
  readonly room: boolean;
}

/** @param newId a fresh id for a supply that the show does not have yet */
export function meet(plan: Plan, venue: Venue, newId: () => string): Meeting {
  const draft = copyOf(plan);
  const known = new Map(venue.supplies.map((s) => [nameKey(s.name), s]));
  const met = new Set<string>();
  const unknown: string[] = [];
  const otherwise: string[] = [];
  for (const [id, supply] of Object.entries(plan.supplies)) {
    const there = known.get(nameKey(supply.name));
    if (!there) {
      unknown.push(supply.name);
      continue;
    }
    met.add(nameKey(supply.name));
    if (same(lasting(supply) as unknown as Json, lasting(there) as unknown as Json)) continue;
    otherwise.push(supply.name);
    draft.supplies[id] = { ...lasting(there), name: supply.name };
  }
  const brought = venue.supplies.filter((s) => !met.has(nameKey(s.name)));
  for (const supply of brought) draft.supplies[newId()] = lasting(supply);
  draft.policy = {
    ...draft.policy,
    mainsHz: venue.mainsHz,
    ...(venue.room ? { room: venue.room, outdoors: venue.room === 'outdoors' || undefined } : {})
  };
  if (draft.policy.outdoors === undefined) delete draft.policy.outdoors;
  const ops = diffPlans(plan, draft);
  return {
    ops: ops.length === 0 || applyEdit(plan, { ops }).ok ? ops : null,
    ...{ unknown, otherwise, brings: brought.map((s) => s.name) },
    room: ops.some((op) => op.table === 'policy')
  };
}

/** The place after a show was there: its supplies as that show has them, those that it did not use as they were. */
export function learn(venue: Venue, plan: Plan): Venue {
  const own = new Map(Object.values(plan.supplies).map((s) => [nameKey(s.name), lasting(s)]));
  const kept = venue.supplies.filter((s) => !own.has(nameKey(s.name)));
  return {
    ...venue,
    mainsHz: plan.policy.mainsHz,
    room: plan.policy.room ?? venue.room,
    supplies: [...own.values(), ...kept]
  };
}

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
