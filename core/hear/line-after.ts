import { applyEdit } from '../plan/edit';
import type { Line } from '../plan/lines';
import { resolve } from '../plan/resolved';
import type { Op, Plan } from '../plan/schema';

/** A line as it is after some steps, with its plan. @throws Error where they do not fit the plan any more, or the line is gone */
export function lineAfter(plan: Plan, ops: readonly Op[], id: string): { readonly plan: Plan; readonly line: Line } {
  const edited = ops.length === 0 ? null : applyEdit(plan, { ops: [...ops] });
  if (edited && !edited.ok) throw new Error('does not fit the plan any more');
  const after = edited?.plan ?? plan;
  const line = resolve(after).line(id);
  if (!line) throw new Error('the line is gone');
  return { plan: after, line };
}
