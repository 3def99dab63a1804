import { applyEdit } from '$core/plan/edit';
import type { Plan } from '$core/plan/schema';
import type { PushAnswer, SentEdit } from '$lib/protocol/edits';

export interface Taken extends Pick<PushAnswer, 'revision' | 'accepted' | 'conflict'> {
  readonly plan: Plan;
  /** Edits that are new, with the revision each of them makes. */
  readonly fresh: readonly { sent: SentEdit; revision: number }[];
}

/**
 * What a batch of edits does to a show. Pure: the caller stores it, under a lock, or not at all.
 * An edit known already is passed over, so a repeated message does no harm; the first one that does not fit ends the batch.
 */
export function takeEdits(
  show: { plan: Plan; revision: number },
  known: ReadonlySet<string>,
  edits: readonly SentEdit[]
): Taken {
  let { plan, revision } = show;
  const accepted: string[] = [];
  const fresh: { sent: SentEdit; revision: number }[] = [];
  for (const sent of edits) {
    if (!known.has(sent.edit.id)) {
      const applied = applyEdit(plan, sent.edit);
      if (!applied.ok) return { plan, revision, accepted, fresh, conflict: { id: sent.edit.id, fault: applied.fault } };
      plan = applied.plan;
      fresh.push({ sent, revision: ++revision });
    }
    accepted.push(sent.edit.id);
  }
  return { plan, revision, accepted, fresh, conflict: null };
}
