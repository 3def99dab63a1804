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
export interface Glance {
  readonly id: string;
  readonly name: string;
  readonly changedAt: string;
  readonly look: Look;
}

/** A list waits so long for what is not known yet, milliseconds; then it comes without. */
const PATIENCE = 700;
/** As long for what has changed since it was last looked at: then it comes as it was then, and the next list has it new. */
const PATIENCE_CHANGED = 150;

/** Under way, by show and revision: asked twice it is computed once. */
const underWay = new Map<string, Promise<Look>>();

/** Computes a show's glance and keeps it. Never throws: what cannot be computed now is asked for again with the next list. */
function find(id: string, revision: number): Promise<Look> {
  const key = `${id} ${revision}`;
  const known = underWay.get(key);
  if (known) return known;
  const made = (async (): Promise<Look> => {
    try {
      const [row] = await db().select({ plan: show.plan, revision: show.revision }).from(show).where(eq(show.id, id));
      if (row?.revision !== revision) return 'computing';
      const counted = await compute('glance', { plan: row.plan }).catch((error: unknown) => {
        if (error instanceof NotComputed && error.reason === 'too-large') return null;
        throw error;
      });
      const kept: KeptGlance = { revision, build: version, counted };
      await db()
        .update(show)
        .set({ glance: kept })
        .where(and(eq(show.id, id), eq(show.revision, revision)));
      return counted ?? 'too-large';
    } catch (error) {
      log.warn({ show: id, error: error instanceof Error ? error.message : String(error) }, 'no glance');
      return 'computing';
    } finally {
      underWay.delete(key);
    }
  })();
  underWay.set(key, made);
  return made;
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
  const after = <T>(ms: number, what: T): Promise<T> =>
    new Promise((done) => timers.push(setTimeout(() => done(what), ms)));
  const enough = after<Look>(PATIENCE, 'computing');
  const looks = await Promise.all(
    rows.map(({ id, revision, glance }): Look | Promise<Look> =>
      glance?.revision === revision && glance.build === version
        ? (glance.counted ?? 'too-large')
        : Promise.race([
            find(id, revision),
            glance?.build === version && glance.counted ? after<Look>(PATIENCE_CHANGED, glance.counted) : enough
          ])
    )
  );
  timers.forEach(clearTimeout);
  return rows.map(({ id, name, changedAt }, k) => ({ id, name, changedAt: changedAt.toISOString(), look: looks[k] }));
}
