import type { Json } from './schema';

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
