import { has, isRow, type Row, type Rows, rowsOf, same, valueAt } from './json';
import type { Json, Op, Plan, TableName } from './schema';

/** Steps of edits by themselves: done, taken back, brought together. Whether what they make is a plan is not looked at here. */

/** Why a step does not fit: what it changes is not as it expects to find it. */
export type StepFault =
  | { code: 'exists'; table: TableName; id: string }
  | { code: 'gone'; table: TableName; id: string }
  | { code: 'changed'; table: TableName; id: string; path: readonly string[]; expected: Json; found: Json };
export type Stepped = { ok: true; plan: Plan; changed: ReadonlyMap<TableName, Rows> } | { ok: false; fault: StepFault };

/** Tables that a plan has only where there is something in them. */
const LEFT_OUT: readonly TableName[] = ['models', 'touches', 'measured', 'kit'];

/** A plan after some steps; the plan itself is not changed. Each step first checks that what it changes is still as it was. */
export function applySteps(plan: Plan, ops: readonly Op[]): Stepped {
  const changed = new Map<TableName, Rows>();
  for (const op of ops) {
    let rows = changed.get(op.table);
    if (!rows) {
      rows = { ...rowsOf(plan, op.table) };
      changed.set(op.table, rows);
    }
    const fault = applyOp(rows, op);
    if (fault) return { ok: false, fault };
  }
  const next = { ...plan };
  for (const [table, rows] of changed) {
    if (table === 'policy') next.policy = rows.show as unknown as Plan['policy'];
    else if (LEFT_OUT.includes(table) && Object.keys(rows).length === 0) delete next[table as 'kit'];
    else (next as unknown as Record<string, Rows>)[table] = rows;
  }
  return { ok: true, plan: next, changed };
}

function applyOp(rows: Rows, op: Op): StepFault | null {
  const { table, id } = op;
  switch (op.op) {
    case 'add':
      if (has(rows, id)) return { code: 'exists', table, id };
      rows[id] = op.value as Row;
      return null;
    case 'remove':
      if (!has(rows, id)) return { code: 'gone', table, id };
      if (!same(rows[id], op.value))
        return { code: 'changed', table, id, path: [], expected: op.value, found: rows[id] };
      delete rows[id];
      return null;
    case 'set': {
      if (!has(rows, id)) return { code: 'gone', table, id };
      // Written into nothing, a field would leave an empty bag behind when taken back.
      if (!isRow(valueAt(rows[id], op.path.slice(0, -1)))) return { code: 'gone', table, id };
      const found = valueAt(rows[id], op.path);
      if (!same(found, op.from)) return { code: 'changed', table, id, path: op.path, expected: op.from, found };
      rows[id] = write(rows[id], op.path, op.to);
      return null;
    }
  }
}

/** A copy with the value at a path replaced; null takes the key away. The bag it lies in must exist. */
function write(row: Row, [key, ...rest]: readonly string[], to: Json): Row {
  const copy = { ...row };
  if (rest.length > 0) copy[key] = write(copy[key] as Row, rest, to);
  else if (to === null) delete copy[key];
  else copy[key] = to;
  return copy;
}

/** The steps that take an edit back. */
export function reverseOps(ops: readonly Op[]): Op[] {
  return ops.map(reverseOp).reverse();
}

function reverseOp(op: Op): Op {
  switch (op.op) {
    case 'add':
      return { ...op, op: 'remove' };
    case 'remove':
      return { ...op, op: 'add' };
    case 'set':
      return { ...op, from: op.to, to: op.from };
  }
}

/**
 * Fewer steps with the same effect: settings of one field follow each other as one, an addition swallows what is set
 * in it afterwards, and an addition taken away again is nothing.
 */
export function squashOps(ops: readonly Op[]): Op[] {
  const out: Op[] = [];
  for (const op of ops) {
    const at = out.findLastIndex((o) => o.table === op.table && o.id === op.id);
    const last = at >= 0 ? out[at] : undefined;
    if (op.op === 'set' && last?.op === 'set' && same(last.path, op.path)) {
      if (same(last.from, op.to)) out.splice(at, 1);
      else out[at] = { ...last, to: op.to };
    } else if (op.op === 'set' && last?.op === 'add' && isRow(valueAt(last.value, op.path.slice(0, -1)))) {
      out[at] = { ...last, value: write(last.value as Row, op.path, op.to) };
    } else if (op.op === 'remove' && last?.op === 'add') {
      out.splice(at, 1);
    } else out.push(op);
  }
  return out;
}
