import { has, type Rows } from './json';
import { type PlanFault, planFaults } from './integrity';
import { KIT_LIMITS } from '../kit/schema';
import { type Edit, LIMITS, type Op, type Plan, ROWS, type TableName } from './schema';
import { applySteps, type StepFault } from './steps';

export type EditFault =
  | StepFault
  | { code: 'bad-row'; table: TableName; id: string; where: string; message: string }
  | { code: 'too-many'; table: TableName; most: number }
  | { code: 'breaks-plan'; faults: readonly PlanFault[] };
export type Applied = { ok: true; plan: Plan } | { ok: false; fault: EditFault };

/**
 * Applies an edit to a plan. Neither is changed; on failure nothing has happened.
 * Each step first checks that what it changes is still as it was: that is what makes a late edit safe to rebase.
 */
export function applyEdit(plan: Plan, edit: Pick<Edit, 'ops'>): Applied {
  const applied = applySteps(plan, edit.ops);
  if (!applied.ok) return applied;
  const bad = badRow(edit.ops, applied.changed);
  if (bad) return { ok: false, fault: bad };
  const next = applied.plan;
  const faults = planFaults(next);
  return faults.length > 0 ? { ok: false, fault: { code: 'breaks-plan', faults } } : { ok: true, plan: next };
}

const MOST: Readonly<Record<TableName, number>> = {
  supplies: LIMITS.supplies,
  hosts: LIMITS.hosts,
  devices: LIMITS.devices,
  cables: LIMITS.cables,
  lines: LIMITS.devices,
  policy: 1,
  models: LIMITS.models,
  touches: LIMITS.touches,
  measured: LIMITS.measured,
  kit: KIT_LIMITS.items
};

/** The first touched row that no longer has the form its table asks for. */
function badRow(ops: readonly Op[], changed: ReadonlyMap<TableName, Rows>): EditFault | null {
  for (const [table, rows] of changed) {
    if (Object.keys(rows).length > MOST[table]) return { code: 'too-many', table, most: MOST[table] };
  }
  for (const { table, id } of ops) {
    const rows = changed.get(table)!;
    if (table === 'policy' && !has(rows, 'show')) return { code: 'gone', table, id: 'show' };
    if (!has(rows, id)) continue;
    const checked = ROWS[table].safeParse(rows[id]);
    if (checked.success) continue;
    const [issue] = checked.error.issues;
    return { code: 'bad-row', table, id, where: issue.path.join('.'), message: issue.message };
  }
  return null;
}
