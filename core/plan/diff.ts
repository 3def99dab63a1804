import { copyOf, differing, has, isRow, type Row, rowsOf, same, valueAt } from './json';
import type { Edit, Op, Plan, TableName } from './schema';

const TABLES = ['supplies', 'hosts', 'devices', 'cables', 'lines', 'models', 'touches', 'measured', 'kit'] as const;

/** The steps from one plan to another: additions first, removals last, changes field by field so that two people's edits can meet. */
export function diffPlans(before: Plan, after: Plan): Op[] {
  const adds: Op[] = [];
  const sets: Op[] = [];
  const removes: Op[] = [];
  for (const table of TABLES) {
    const old = rowsOf(before, table);
    const now = rowsOf(after, table);
    if (old === now) continue;
    for (const [id, row] of Object.entries(now)) {
      if (!has(old, id)) adds.push({ op: 'add', table, id, value: copyOf(row) });
      else if (old[id] !== row) sets.push(...diffRow(table, id, old[id], row));
    }
    for (const [id, row] of Object.entries(old)) {
      if (!has(now, id)) removes.push({ op: 'remove', table, id, value: copyOf(row) });
    }
  }
  sets.push(...diffRow('policy', 'show', before.policy as unknown as Row, after.policy as unknown as Row));
  return [...adds, ...sets, ...removes];
}

function diffRow(table: TableName, id: string, old: Row, now: Row, path: readonly string[] = []): Op[] {
  const ops: Op[] = [];
  for (const { field: key, from, to } of differing(old, now)) {
    // A bag of settings is compared entry by entry; an end of a cable is one thing.
    if (key === 'settings' && isRow(from) && isRow(to)) ops.push(...diffRow(table, id, from, to, [...path, key]));
    else ops.push({ op: 'set', table, id, path: [...path, key], from, to });
  }
  return ops;
}

/** An edit made by changing a copy of the plan; null when nothing changed. */
export function editBy(plan: Plan, label: Edit['label'], id: string, change: (draft: Plan) => void): Edit | null {
  const draft = copyOf(plan);
  change(draft);
  const ops = diffPlans(plan, draft);
  return ops.length > 0 ? { id, label, ops } : null;
}

/** The same wish on a plan that has moved on: what it sets now starts from what is there. */
export function forceOnto(plan: Plan, edit: Edit): Edit['ops'] {
  return edit.ops.flatMap((op): Op[] => {
    const rows = rowsOf(plan, op.table);
    const row = has(rows, op.id) ? rows[op.id] : undefined;
    switch (op.op) {
      case 'add':
        return row === undefined ? [op] : diffRow(op.table, op.id, row, op.value as Row);
      case 'remove':
        return row === undefined ? [] : [{ ...op, value: copyOf(row) }];
      case 'set': {
        if (row === undefined) return [];
        const found = valueAt(row, op.path);
        return same(found, op.to) ? [] : [{ ...op, from: found }];
      }
    }
  });
}
