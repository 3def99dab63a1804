import { has, same } from './json';
import type { Edit, Json, Op, Plan, TableName } from './schema';

const TABLES = ['supplies', 'hosts', 'devices', 'cables', 'lines'] as const;
type Row = Record<string, Json>;

/** The steps from one plan to another: additions first, removals last, changes field by field so that two people's edits can meet. */
export function diffPlans(before: Plan, after: Plan): Op[] {
  const adds: Op[] = [];
  const sets: Op[] = [];
  const removes: Op[] = [];
  for (const table of TABLES) {
    const old = before[table] as unknown as Record<string, Row>;
    const now = after[table] as unknown as Record<string, Row>;
    if (old === now) continue;
    for (const [id, row] of Object.entries(now)) {
      if (!has(old, id)) adds.push({ op: 'add', table, id, value: clean(row) });
      else if (old[id] !== row) sets.push(...diffRow(table, id, old[id], row));
    }
    for (const [id, row] of Object.entries(old)) {
      if (!has(now, id)) removes.push({ op: 'remove', table, id, value: clean(row) });
    }
  }
  sets.push(...diffRow('policy', 'show', before.policy as unknown as Row, after.policy as unknown as Row));
  return [...adds, ...sets, ...removes];
}

const isBag = (value: Json | undefined): value is Row =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

function diffRow(table: TableName, id: string, old: Row, now: Row, path: readonly string[] = []): Op[] {
  const ops: Op[] = [];
  for (const key of new Set([...Object.keys(old), ...Object.keys(now)])) {
    const [a, b] = [old[key], now[key]];
    if (same(a, b)) continue;
    // A bag of settings is compared entry by entry; an end of a cable is one thing.
    if (key === 'settings' && isBag(a) && isBag(b)) ops.push(...diffRow(table, id, a, b, [...path, key]));
    else ops.push({ op: 'set', table, id, path: [...path, key], from: a ?? null, to: b ?? null });
  }
  return ops;
}

/** Drops undefined members, which JSON does not know. */
const clean = (row: Row): Json => JSON.parse(JSON.stringify(row)) as Json;

/** An edit made by changing a copy of the plan; null when nothing changed. */
export function editBy(plan: Plan, label: Edit['label'], id: string, change: (draft: Plan) => void): Edit | null {
  const draft = JSON.parse(JSON.stringify(plan)) as Plan;
  change(draft);
  const ops = diffPlans(plan, draft);
  return ops.length > 0 ? { id, label, ops } : null;
}

/** The same wish on a plan that has moved on: what it sets now starts from what is there. */
export function forceOnto(plan: Plan, edit: Edit): Edit['ops'] {
  return edit.ops.flatMap((op): Op[] => {
    const rows = (op.table === 'policy' ? { show: plan.policy } : plan[op.table]) as unknown as Record<string, Row>;
    const row = has(rows, op.id) ? rows[op.id] : undefined;
    switch (op.op) {
      case 'add':
        return row === undefined ? [op] : diffRow(op.table, op.id, row, op.value as Row);
      case 'remove':
        return row === undefined ? [] : [{ ...op, value: clean(row) }];
      case 'set': {
        if (row === undefined) return [];
        let found: Json | undefined = row;
        for (const key of op.path) found = isBag(found) ? found[key] : undefined;
        return same(found, op.to) ? [] : [{ ...op, from: found ?? null }];
      }
    }
  });
}
