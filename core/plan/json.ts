import type { Json, Plan, TableName } from './schema';

/** Whether an object has the key itself; an id may be called `constructor`. */
export const has = (rows: object, id: string): boolean => Object.prototype.hasOwnProperty.call(rows, id);

/** Equality of JSON values, key order aside; undefined members count as absent. */
export function same(a: Json | undefined, b: Json | undefined): boolean {
  if (a === b) return true;
  if (a === null || b === null || typeof a !== 'object' || typeof b !== 'object') return false;
  if (Array.isArray(a) || Array.isArray(b)) {
    return Array.isArray(a) && Array.isArray(b) && a.length === b.length && a.every((item, k) => same(item, b[k]));
  }
  const keys = Object.keys(a).filter((k) => a[k] !== undefined);
  return (
    keys.length === Object.keys(b).filter((k) => b[k] !== undefined).length &&
    keys.every((k) => has(b, k) && same(a[k], b[k]))
  );
}

export type Row = Record<string, Json>;
export type Rows = Record<string, Row>;

export const isRow = (value: Json | undefined): value is Row =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** The rows of a table. The policy is a table of the one row `show`, so that every edit has one form. */
export const rowsOf = (plan: Plan, table: TableName): Rows =>
  (table === 'policy' ? { show: plan.policy } : (plan[table] ?? {})) as unknown as Rows;

/** Value at a path; null where there is none. */
export function valueAt(row: Json, path: readonly string[]): Json {
  let at: Json = row;
  for (const key of path) {
    if (!isRow(at) || !has(at, key)) return null;
    at = at[key];
  }
  return at ?? null;
}

/** A deep copy, less undefined members, which JSON does not know. */
export const copyOf = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

/** Fields in which two rows differ, with what each has there; null where it has none. */
export const differing = (
  a: Row = {},
  b: Row = {}
): { readonly field: string; readonly from: Json; readonly to: Json }[] =>
  [...new Set([...Object.keys(a), ...Object.keys(b)])].flatMap((field) => {
    const [from, to] = [a[field] ?? null, b[field] ?? null];
    return same(from, to) ? [] : [{ field, from, to }];
  });
