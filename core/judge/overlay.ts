import { interpolate } from '../rig/grid';
import type { LineReport } from './judge';

/** Responses of several ways of one line on top of each other, equally loud: what is left between them is what one hears. */

export interface Overlay {
  readonly hz: readonly number[];
  /** One curve a report, dB over its own average within what is played; null for a line that has no response. */
  readonly curves: readonly (readonly number[] | null)[];
  /** Where within what is played two of them are furthest apart, hertz, and by how much, dB; null with fewer than two. */
  readonly most: { readonly hz: number; readonly db: number } | null;
}

/** Of a source of which nothing is known: the middle of what is heard, hertz. */
const MIDDLE = { low: 100, reach: 5000 } as const;

/** @param reports of the same source: their notes are the first one's */
export function overlaid(reports: readonly Pick<LineReport, 'response' | 'notes'>[]): Overlay {
  const first = reports.find((r) => r.response);
  const hz = first?.response?.hz ?? [];
  const { low, reach } = first?.notes ?? MIDDLE;
  const played = hz.flatMap((f, k) => (f >= low && f <= reach ? [k] : []));
  const curves = reports.map(({ response }) => {
    if (!response || played.length === 0) return null;
    const [from, of] = [Float64Array.from(response.hz), Float64Array.from(response.db)];
    const db = hz.map((f) => interpolate(from, of, f));
    const mean = played.reduce((sum, k) => sum + db[k], 0) / played.length;
    return db.map((v) => v - mean);
  });
  const there = curves.filter((c) => c !== null);
  if (there.length < 2) return { hz, curves, most: null };
  const apart = (k: number): number => Math.max(...there.map((c) => c[k])) - Math.min(...there.map((c) => c[k]));
  const at = played.reduce((best, k) => (apart(k) > apart(best) ? k : best));
  return { hz, curves, most: { hz: hz[at], db: apart(at) } };
}
