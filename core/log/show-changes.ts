import { differing, has, isRow, type Row, rowsOf, same } from '../plan/json';
import type { Json, Plan, TableName } from '../plan/schema';

/** Something of a show that is otherwise and no line's own: a supply, a desk, what was measured, the show's rules. */
export interface ShowChange {
  readonly table: Exclude<TableName, 'devices' | 'cables' | 'lines'>;
  /** As a person calls it; empty where it has no name. */
  readonly name: string;
  readonly is: 'new' | 'gone' | 'changed';
  /** Of what changed: which field, from what to what. */
  readonly fields: readonly { readonly field: string; readonly from: Json; readonly to: Json }[];
  /** The row as it is now, or was before it was gone. */
  readonly row: Json;
}

const TABLES = ['supplies', 'hosts', 'models', 'touches', 'measured', 'kit'] as const;

/** What is otherwise in one show than in another besides its lines. */
export function changedShow(before: Plan, after: Plan): ShowChange[] {
  const out: ShowChange[] = [];
  for (const table of TABLES) {
    const [old, now] = [rowsOf(before, table), rowsOf(after, table)];
    if (old === now) continue;
    for (const [id, row] of Object.entries(now)) {
      if (!has(old, id)) out.push({ table, name: nameOf(row), is: 'new', fields: [], row });
      else if (!same(old[id], row))
        out.push({ table, name: nameOf(row), is: 'changed', fields: fieldsOf(old[id], row), row });
    }
    for (const [id, row] of Object.entries(old))
      if (!has(now, id)) out.push({ table, name: nameOf(row), is: 'gone', fields: [], row });
  }
  const policy = fieldsOf(before.policy as unknown as Row, after.policy as unknown as Row);
  if (policy.length > 0)
    out.push({ table: 'policy', name: '', is: 'changed', fields: policy, row: after.policy as unknown as Row });
  return out;
}

const nameOf = (row: Row): string => (typeof row.name === 'string' ? row.name : '');

function fieldsOf(old: Row, now: Row): ShowChange['fields'] {
  // What was planned before it was measured is kept for reckoning, not for reading.
  return differing(old, now).filter(({ from, to }) => !isRow(from) && !isRow(to));
}
