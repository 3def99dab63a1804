// Text: what of it can be stored and sent. Knows nothing of audio.

/** What no database and no file takes: NUL and the other control characters but tab and line feed, and half a surrogate pair. */

const BROKEN =
  /[\u0000-\u0008\u000B-\u001F\u007F]|[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/;
const ALL = new RegExp(BROKEN.source, 'g');

/** Whether a text can be stored as it is. */
export const isWellFormed = (text: string): boolean => !BROKEN.test(text);

/** A text without what cannot be stored of it. A carriage return is a line feed. */
export const wellFormed = (text: string): string => text.replace(/\r\n?/g, '\n').replace(ALL, '');

/** The same of every text in a value, keys left alone. */
export function allWellFormed<T>(value: T): T {
  if (typeof value === 'string') return (isWellFormed(value) ? value : wellFormed(value)) as T;
  if (Array.isArray(value)) {
    const next = value.map((v: unknown) => allWellFormed(v));
    return next.some((v, k) => v !== value[k]) ? (next as T) : value;
  }
  if (typeof value !== 'object' || value === null) return value;
  const entries = Object.entries(value).map(([key, v]) => [key, allWellFormed(v as unknown)] as const);
  return entries.some(([key, v]) => v !== (value as Record<string, unknown>)[key])
    ? (Object.fromEntries(entries) as T)
    : value;
}

const characters = new Intl.Segmenter(undefined, { granularity: 'grapheme' });

/**
 * The beginning of a text, whole characters as people see them.
 * @param most code units, as the limits of what is stored count them
 */
export function cutText(text: string, most: number): string {
  if (text.length <= most) return text;
  let out = '';
  for (const { segment } of characters.segment(text)) {
    if (out.length + segment.length > most) break;
    out += segment;
  }
  return out;
}
