import { version } from '$app/environment';
import { and, desc, eq, isNull } from 'drizzle-orm';
import type { Counted } from '$lib/protocol/shows';
import { compute, NotComputed } from './compute/pool';
import { db } from './db';
import { log } from './log';
import { type KeptGlance, show } from './schema';

/** Shows of a crew at a glance. What was computed of a revision is kept with the show; what is new is computed beside the requests. */

/** What a show's lines come to; still being computed, or too large for this server. */
type Look = Counted | 'computing' | 'too-large';
interface Seen {
  readonly look: Look;
  /** It has changed since; asked a moment later, it is known how. */
  readonly old: boolean;
}
export interface Glance extends Seen {
  readonly id: string;
  readonly name: string;
  readonly changedAt: string;
}

/** A list waits so long for what is not known yet, milliseconds; then it comes without. */
const PATIENCE = 700;
/** As long for what has changed since it was last looked at: then it comes as it was then, and the next list has it new. */
const PATIENCE_CHANGED = 150;

/** A show that somebody is at changes ten times a second. What its lines come to is computed again no sooner than so many milliseconds after the last time. */
const SOONEST = 2000;

/** What was found, and of which revision. */
interface Found {
  readonly look: Look;
  readonly revision: number;
}

const LATER: Found = { look: 'computing', revision: Infinity };

/** Under way, by show: asked twice it is computed once. */
const underWay = new Map<string, Promise<Found>>();

/**
 * Computes a show's glance and keeps it with the revision that it is of: of a show that has moved on meanwhile it is still the
 * newest there is. Never throws: what cannot be computed now is asked for again with the next list.
 */
function find(id: string): Promise<Found> {
  const known = underWay.get(id);
  if (known) return known;
  const made = (async (): Promise<Found> => {
    try {
      const [row] = await db().select({ plan: show.plan, revision: show.revision }).from(show).where(eq(show.id, id));
      if (!row) return LATER;
      const counted = await compute('glance', { plan: row.plan }).catch((error: unknown) => {
        if (error instanceof NotComputed && error.reason === 'too-large') return null;
        throw error;
      });
      const kept: KeptGlance = { revision: row.revision, build: version, counted, at: Date.now() };
      await db().update(show).set({ glance: kept }).where(eq(show.id, id));
      return { look: counted ?? 'too-large', revision: row.revision };
    } catch (error) {
      log.warn({ show: id, error: error instanceof Error ? error.message : String(error) }, 'no glance');
      return LATER;
    } finally {
      underWay.delete(id);
    }
  })();
  underWay.set(id, made);
  return made;
}

/** What is known of a show; where it has changed since, and the last look is not of a moment ago, it is looked at again. */
function lookAt(
  id: string,
  revision: number,
  kept: KeptGlance | null,
  after: (ms: number, what: Seen) => Promise<Seen>
): Seen | Promise<Seen> {
  const now = (): Promise<Seen> => find(id).then((found) => ({ look: found.look, old: found.revision < revision }));
  const last = kept?.build === version ? kept : null;
  if (!last) return Promise.race([now(), after(PATIENCE, { look: 'computing', old: false })]);
  const was = { look: last.counted ?? 'too-large', old: last.revision !== revision } as const;
  if (!was.old || Date.now() - (last.at ?? 0) < SOONEST) return was;
  return Promise.race([now(), after(PATIENCE_CHANGED, was)]);
}

/** All shows of a crew, last changed first. */
export async function listShows(crewId: string): Promise<Glance[]> {
  const rows = await db()
    .select({
      id: show.id,
      name: show.name,
      changedAt: show.changedAt,
      revision: show.revision,
      glance: show.glance
    })
    .from(show)
    .where(and(eq(show.crewId, crewId), isNull(show.deletedAt)))
    .orderBy(desc(show.changedAt), show.name);
  const timers: NodeJS.Timeout[] = [];
  const after = (ms: number, what: Seen): Promise<Seen> =>
    new Promise((done) => timers.push(setTimeout(() => done(what), ms)));
  const seen = await Promise.all(rows.map(({ id, revision, glance }) => lookAt(id, revision, glance, after)));
  timers.forEach(clearTimeout);
  return rows.map(({ id, name, changedAt }, k) => ({ id, name, changedAt: changedAt.toISOString(), ...seen[k] }));
}
