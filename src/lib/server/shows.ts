import type { Plan } from '$core/plan/schema';
import { and, asc, desc, eq, gt, isNull, or } from 'drizzle-orm';
import type { SentEdit, Since } from '$lib/protocol/edits';
import type { Who } from './access';
import { type Db, db } from './db';
import { edit, show } from './schema';

/** A plan as a guest may see it: what a crew owns is no part of the show. */
export function withoutKit(plan: Plan): Plan {
  const { kit: _, ...rest } = plan;
  return rest;
}

const mine = (crewId: string, id: string) => and(eq(show.crewId, crewId), eq(show.id, id));

export async function getShow(crewId: string, id: string) {
  const [row] = await db()
    .select()
    .from(show)
    .where(and(mine(crewId, id), isNull(show.deletedAt)));
  return row;
}

/** Whether a crew has that show: its plan, which may be large, stays where it is. */
export async function hasShow(crewId: string, id: string): Promise<boolean> {
  const rows = await db()
    .select({ id: show.id })
    .from(show)
    .where(and(mine(crewId, id), isNull(show.deletedAt)));
  return rows.length > 0;
}

/** Shows of a crew by name, last changed first. */
export const showNames = (crewId: string): Promise<{ id: string; name: string }[]> =>
  db()
    .select({ id: show.id, name: show.name })
    .from(show)
    .where(and(eq(show.crewId, crewId), isNull(show.deletedAt)))
    .orderBy(desc(show.changedAt));

/** Adds a show; returns its id. The plan must have been through `loadPlan`. */
export async function createShow(
  crewId: string,
  name: string,
  plan: Plan,
  at: { readonly venueId: string | null; readonly otherVenueId?: string | null } = { venueId: null }
): Promise<string> {
  const [row] = await db()
    .insert(show)
    .values({ crewId, name, plan, ...at })
    .returning({ id: show.id });
  return row.id;
}

export async function renameShow(crewId: string, id: string, name: string): Promise<boolean> {
  const rows = await db()
    .update(show)
    .set({ name, changedAt: new Date() })
    .where(mine(crewId, id))
    .returning({ id: show.id });
  return rows.length > 0;
}

/** Puts a show aside, or brings it back. */
export async function setDeleted(crewId: string, id: string, deleted: boolean): Promise<boolean> {
  const rows = await db()
    .update(show)
    .set({ deletedAt: deleted ? new Date() : null })
    .where(mine(crewId, id))
    .returning({ id: show.id });
  return rows.length > 0;
}

/** Whose edits these are: a person's on all their devices, or a device's as long as nobody has a name. */
type Whose = Pick<Who, 'crewId' | 'personId' | 'user' | 'device'>;

const sentOf = (row: typeof edit.$inferSelect): SentEdit => ({
  edit: { id: row.id, label: row.label, ops: row.ops },
  kind: row.kind,
  of: row.ofEdit
});

/** Last edits somebody made of a show, oldest first: enough to rebuild their undo and redo. */
export async function lastEdits({ crewId, personId, user, device }: Whose, showId: string, most = 200) {
  const own = user ? eq(edit.personId, personId) : or(eq(edit.device, device.id), isNull(edit.device));
  const rows = await db()
    .select()
    .from(edit)
    .where(and(eq(edit.crewId, crewId), eq(edit.showId, showId), own))
    .orderBy(desc(edit.revision))
    .limit(most);
  return rows.reverse().map(sentOf);
}

/** Longer lists than this are told as the whole plan. */
export const MOST_SINCE = 200;

/** What has been done to a show since a revision. @param guest is told what the show is now, not what was done, nor by whom; undefined when there is no such show */
export async function editsSince(
  crewId: string,
  showId: string,
  since: number,
  guest: boolean
): Promise<Since | undefined> {
  return db().transaction(async (tx) => {
    const [row] = await tx
      .select()
      .from(show)
      .where(and(mine(crewId, showId), isNull(show.deletedAt)))
      .for('share');
    if (!row || !guest) return row && sinceOf(tx, row, since);
    return { revision: row.revision, edits: [], plan: row.revision === since ? null : withoutKit(row.plan) };
  });
}

async function sinceOf(
  tx: Pick<Db, 'select'>,
  { id, plan, revision }: Pick<typeof show.$inferSelect, 'id' | 'plan' | 'revision'>,
  since: number
): Promise<Since> {
  if (since > revision || revision - since > MOST_SINCE) return { revision, edits: [], plan };
  const rows = await tx
    .select()
    .from(edit)
    .where(and(eq(edit.showId, id), gt(edit.revision, since)))
    .orderBy(asc(edit.revision));
  const edits = rows.map((row) => ({ revision: row.revision, by: row.madeBy, sent: sentOf(row) }));
  return { revision, edits, plan: null };
}
