import { judgePlan, type LineReport } from '../judge/judge';
import type { Pieces } from '../judge/solved-rig';
import { reverseOps, applySteps } from '../plan/steps';
import { linesTouched } from '../plan/touched';
import type { Edit, Op, Plan } from '../plan/schema';
import { changedLines, type ToldLine } from './line-changes';
import { changedShow, type ShowChange } from './show-changes';

/** An edit as it was made. */
export interface MadeEdit {
  readonly id: string;
  readonly revision: number;
  /** When, milliseconds since 1970, by the server's clock. */
  readonly at: number;
  /** Who made it: only those of one maker are told together. */
  readonly maker: string;
  readonly kind: 'do' | 'undo' | 'redo';
  readonly label: Edit['label'];
  readonly ops: readonly Op[];
}
/** Edits told as one: a slider that is drawn is one change, and what was taken back at once is none. */
export interface ToldEdits {
  /** The last of them, by which they are known. */
  readonly edit: MadeEdit;
  readonly kind: MadeEdit['kind'];
  readonly lines: readonly ToldLine[];
  readonly show: readonly ShowChange[];
  /** The plan after them. */
  readonly plan: Plan;
}

/** Edits of one maker at the same lines, no further apart than this, milliseconds, are told together. */
const APART = 120_000;

/** A plan as it was before some edits. @throws Error where they are not what led to it */
export function planBefore(plan: Plan, edits: readonly Pick<MadeEdit, 'ops'>[]): Plan {
  return step(
    plan,
    [...edits].reverse().flatMap((e) => reverseOps(e.ops))
  );
}

function step(plan: Plan, ops: readonly Op[]): Plan {
  const stepped = applySteps(plan, ops);
  if (!stepped.ok) throw new Error(`edits do not lead to this plan: ${JSON.stringify(stepped.fault).slice(0, 200)}`);
  return stepped.plan;
}

/**
 * What edits did, one telling for those that belong together, in their order.
 * @param before the plan that the first of them was made on
 * @param reportsOf the reports of a plan, by line
 * @throws Error where an edit does not fit
 */
export function tellEdits(before: Plan, edits: readonly MadeEdit[], reportsOf: ReportsOf = reporter()): ToldEdits[] {
  let plan = before;
  return grouped(before, edits).flatMap((group): ToldEdits[] => {
    const was = plan;
    plan = group.plan;
    const lines = changedLines(was, plan, { before: reportsOf(was), after: reportsOf(plan) });
    const show = changedShow(was, plan);
    const edit = group.edits[group.edits.length - 1];
    return lines.length + show.length > 0 ? [{ edit, kind: edit.kind, lines, show, plan }] : [];
  });
}

/** Reports of plans that follow one another: each is judged once, and what has not changed in it is not solved again. */
export type ReportsOf = (plan: Plan) => ReadonlyMap<string, LineReport>;
export function reporter(): ReportsOf {
  const pieces: Pieces = new Map();
  const known = new Map<Plan, ReadonlyMap<string, LineReport>>();
  return (plan) => {
    let reports = known.get(plan);
    if (!reports) known.set(plan, (reports = new Map(judgePlan(plan, pieces).map((r) => [r.id, r]))));
    return reports;
  };
}

/** Edits that are told as one, what they are about, and the plan after them. */
interface Group {
  readonly edits: MadeEdit[];
  readonly about: Set<string>;
  plan: Plan;
}
function grouped(before: Plan, edits: readonly MadeEdit[]): Group[] {
  const out: Group[] = [];
  let plan = before;
  for (const edit of edits) {
    const next = step(plan, edit.ops);
    // A line that is gone stands only in the plan before.
    const about = new Set([...linesTouched(plan, edit.ops), ...linesTouched(next, edit.ops)]);
    plan = next;
    const last = out.at(-1);
    const previous = last?.edits.at(-1);
    const belongs =
      last &&
      previous &&
      previous.maker === edit.maker &&
      edit.at - previous.at <= APART &&
      (about.size === 0 ? last.about.size === 0 : [...about].some((id) => last.about.has(id)));
    if (!belongs) out.push({ edits: [edit], about, plan });
    else {
      last.edits.push(edit);
      last.plan = plan;
      about.forEach((id) => last.about.add(id));
    }
  }
  return out;
}
