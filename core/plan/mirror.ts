import { copyOf, has, rowsOf, same, valueAt } from './json';
import type { Line } from './lines';
import type { Json, Op, Plan } from './schema';

/** Of a line's own row these are its alone; all else of a pair holds for both sides. */
const OWN = ['name', 'channel', 'note', 'pair'];

/** Whether two lines are built alike: the same models and kinds of cable in the same order, with no part in common. */
export const builtAlike = (plan: Plan, a: Line, b: Line): boolean =>
  a.devices.length === b.devices.length &&
  a.devices.every((id, k) => id !== b.devices[k] && plan.devices[id].model === plan.devices[b.devices[k]].model) &&
  a.cables.every((id, k) => id !== b.cables[k] && plan.cables[id].kind === plan.cables[b.cables[k]].kind);

/**
 * What is done to one side of a pair, done to the other as well.
 * @param from the side that the steps change
 * @param to the other side
 * @returns the steps for both in one; null where they change nothing that both sides have, or where the other side stands otherwise
 */
export function mirrorOps(plan: Plan, from: Line, to: Line, ops: readonly Op[]): Op[] | null {
  if (!builtAlike(plan, from, to)) return null;
  /** By the id of a part of one side, what it is on the other. */
  const other = new Map<string, string>([
    ...from.devices.map((id, k) => [id, to.devices[k]] as const),
    ...from.cables.map((id, k) => [id, to.cables[k]] as const)
  ]);
  for (const { op, table, id } of ops) if (op === 'add') other.set(id, freeId(plan, table, id));
  const both = ops.filter(
    (op) => other.has(op.id) && !(op.table === 'lines' && op.op === 'set' && OWN.includes(op.path[0]))
  );
  // What stands in the plan already must be a part of this side; an addition by itself is a line of its own.
  if (!both.some((op) => op.op !== 'add') || both.some((op) => op.op === 'add' && op.table === 'lines')) return null;
  const extra: Op[] = [];
  for (const op of both) {
    const id = other.get(op.id)!;
    const row = rowsOf(plan, op.table)[id];
    if (op.op === 'add') extra.push({ ...op, id, value: renamed(op.value, other) });
    else if (row === undefined) return null;
    else if (op.op === 'remove') extra.push({ ...op, id, value: copyOf(row) });
    else {
      const before = renamed(op.from, other);
      if (!same(valueAt(row, op.path), before)) return null;
      extra.push({ ...op, id, from: before, to: renamed(op.to, other) });
    }
  }
  // Additions first and removals last, as in every edit.
  const kinds = ['add', 'set', 'remove'] as const;
  return kinds.flatMap((kind) => [...ops, ...extra].filter((o) => o.op === kind));
}

/** A value in which every id of one side is the other side's. */
function renamed(value: Json, ids: ReadonlyMap<string, string>): Json {
  if (typeof value === 'string') return ids.get(value) ?? value;
  if (Array.isArray(value)) return value.map((v) => renamed(v, ids));
  if (value === null || typeof value !== 'object') return value;
  return Object.fromEntries(Object.entries(value).map(([key, v]) => [key, renamed(v, ids)]));
}

/** An id like this one that no row of the table has. */
function freeId(plan: Plan, table: Op['table'], id: string): string {
  const rows = rowsOf(plan, table);
  for (let n = 2; ; n++) {
    const made = `${id.slice(0, 36)}-${n}`;
    if (!has(rows, made)) return made;
  }
}
