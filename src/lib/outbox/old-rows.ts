import type { Row } from './rows';

const list = (value: unknown): unknown[] => (Array.isArray(value) ? value : []);
const at = (value: unknown, key: string): unknown => (value as Record<string, unknown> | null | undefined)?.[key];

/** What a browser of an earlier version kept of one show, as rows. What cannot be read stays out. */
export function rowsOfOld(store: 'pending' | 'readings' | 'photos', show: string, value: unknown): Row[] {
  const lane = { pending: `edits:${show}`, readings: `readings:${show}`, photos: `photos:${show}` }[store];
  const row = (item: unknown, id: unknown, order: number, aside: string | null): Row[] =>
    typeof id === 'string' ? [{ lane, id, order, item, aside }] : [];
  if (store !== 'pending') return list(value).flatMap((item, k) => row(item, at(item, 'id'), k, null));
  const queue = list(at(value, 'queue')).flatMap((item, k) => row(item, at(at(item, 'edit'), 'id'), k, null));
  const aside = list(at(value, 'aside')).flatMap((kept, k) =>
    row(at(kept, 'sent'), at(at(at(kept, 'sent'), 'edit'), 'id'), queue.length + k, String(at(kept, 'why')))
  );
  return [...queue, ...aside];
}
