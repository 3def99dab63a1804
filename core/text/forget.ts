import { asPattern } from './names';

/** Takes a name out of what was written, wherever it stands in it as a word of its own. */

/** A text without the name. @param by what stands there instead: `somebody` */
export function withoutName(text: string, name: string, by: string): string {
  const words = name.trim().split(/\s+/).map(asPattern).join('\\s+');
  return words === '' ? text : text.replace(new RegExp(`(?<![\\p{L}\\p{N}])${words}(?![\\p{L}\\p{N}])`, 'giu'), by);
}

/** A value without the name in any text of it; names of its fields stay. */
export function withoutNameIn<T>(value: T, name: string, by: string): T {
  if (typeof value === 'string') return withoutName(value, name, by) as T;
  if (Array.isArray(value)) return value.map((v: unknown) => withoutNameIn(v, name, by)) as T;
  if (value !== null && typeof value === 'object')
    return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, withoutNameIn(v as unknown, name, by)])) as T;
  return value;
}
