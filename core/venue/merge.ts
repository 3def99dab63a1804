import { same } from '../plan/json';
import type { Json } from '../plan/schema';
import { nameKey } from '../text/names';
import type { Venue } from './schema';

/** Two people change what is known of one place at once: both changes hold, but for the same thing said twice. */

const alike = (a: unknown, b: unknown): boolean => same((a ?? null) as Json, (b ?? null) as Json);
/** What an entry of a list is about: two entries about the same cannot both stand. */
const ABOUT = {
  supplies: (s: Venue['supplies'][number]) => nameKey(s.name),
  sockets: (s: Venue['sockets'][number]) => `${s.box.toUpperCase()} ${s.socket}`,
  boxes: (b: NonNullable<Venue['boxes']>[number]) => b.name.toUpperCase(),
  runs: (r: NonNullable<Venue['runs']>[number]) => `${r.tie} ${[nameKey(r.from), nameKey(r.to)].sort().join(' ')}`
} as const;
type ListKey = keyof typeof ABOUT;
const isList = (key: keyof Venue): key is ListKey => key in ABOUT;

export interface Merged {
  readonly venue: Venue;
  /** What both have changed, and differently: here `now` holds, until somebody decides. */
  readonly both: readonly (keyof Venue)[];
}

/**
 * @param from as it was seen
 * @param to as it was made of that
 * @param now as somebody else has made it meanwhile
 */
export function mergeVenues(from: Venue, to: Venue, now: Venue): Merged {
  const both: (keyof Venue)[] = [];
  const venue: Record<string, unknown> = { ...now };
  const keys = [...new Set([from, to, now].flatMap((v) => Object.keys(v)))] as (keyof Venue)[];
  for (const key of keys) {
    if (alike(from[key], to[key]) || alike(to[key], now[key])) continue;
    if (alike(from[key], now[key])) venue[key] = to[key];
    else if (!isList(key)) both.push(key);
    else {
      const about = ABOUT[key] as (item: unknown) => string;
      const list = mergeLists<unknown>(from[key] ?? [], to[key] ?? [], now[key] ?? [], about);
      if (list) venue[key] = list;
      else both.push(key);
    }
    if (venue[key] === undefined) delete venue[key];
  }
  return { venue: venue as Venue, both };
}

/** Null where both have said something else of the same. */
function mergeLists<T>(
  from: readonly T[],
  to: readonly T[],
  now: readonly T[],
  about: (item: T) => string
): T[] | null {
  const [was, mine] = [from, to].map((list) => new Map(list.map((item) => [about(item), item])));
  const out = new Map(now.map((item) => [about(item), item]));
  for (const key of new Set([...was.keys(), ...mine.keys()])) {
    const [before, after, theirs] = [was.get(key), mine.get(key), out.get(key)];
    if (alike(before, after) || alike(after, theirs)) continue;
    if (!alike(before, theirs)) return null;
    if (after === undefined) out.delete(key);
    else out.set(key, after);
  }
  return [...out.values()];
}

/** One's own on top of what is there: where both have changed the same, one's own holds. */
export const withMine = (from: Venue, to: Venue, now: Venue): Venue => {
  const { venue, both } = mergeVenues(from, to, now);
  return { ...venue, ...Object.fromEntries(both.map((key) => [key, to[key]])) };
};
