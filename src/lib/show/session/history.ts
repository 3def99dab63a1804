import { reverseOps } from '$core/plan/steps';
import type { Edit, Op } from '$core/plan/schema';
import type { SentEdit } from '$lib/protocol/edits';

/** An edit that can be taken back or brought again, under the id it was first made with. */
interface Step {
  readonly id: string;
  readonly label: Edit['label'];
  readonly ops: readonly Op[];
}
export interface History {
  readonly undo: readonly Step[];
  readonly redo: readonly Step[];
}
export const NO_HISTORY: History = { undo: [], redo: [] };
/** Steps kept; older ones stay in the log but are out of reach of the undo key. */
const DEPTH = 200;

/** History after one more edit. Folding it over a show's log gives the same history on any device. */
export function record(history: History, { edit, kind, of }: SentEdit): History {
  const { undo, redo } = history;
  if (kind === 'do')
    return { undo: [...undo, { id: edit.id, label: edit.label, ops: edit.ops }].slice(-DEPTH), redo: [] };
  const id = of ?? edit.id;
  const step = (kind === 'undo' ? undo : redo).findLast((s) => s.id === id) ?? {
    id,
    label: edit.label,
    ops: kind === 'undo' ? reverseOps(edit.ops) : edit.ops
  };
  const without = (list: readonly Step[]): Step[] => list.filter((s) => s.id !== id);
  return kind === 'undo'
    ? { undo: without(undo), redo: [...redo, step] }
    : { undo: [...undo, step], redo: without(redo) };
}
