import { planBefore } from '$core/log/told-edits';
import type { Op, Plan } from '$core/plan/schema';
import { and, asc, eq, gt } from 'drizzle-orm';
import { db } from '../db';
import { edit, show } from '../schema';

/** More changes than these are not taken back on the thread that answers everybody. */
const MOST = 3000;

/** A show as it was at a revision: its edits since, taken back. @returns undefined where there is no such show or revision */
export async function planOf(crewId: string, id: string, revision: number): Promise<Plan | 'too-long-ago' | undefined> {
  return db().transaction(async (tx) => {
    const [row] = await tx
      .select({ plan: show.plan, revision: show.revision })
      .from(show)
      .where(and(eq(show.crewId, crewId), eq(show.id, id)))
      .for('share');
    if (!row || revision > row.revision) return undefined;
    if (row.revision - revision > MOST) return 'too-long-ago';
    const edits: { ops: Op[] }[] = await tx
      .select({ ops: edit.ops })
      .from(edit)
      .where(and(eq(edit.showId, id), gt(edit.revision, revision)))
      .orderBy(asc(edit.revision));
    return planBefore(row.plan, edits);
  });
}
