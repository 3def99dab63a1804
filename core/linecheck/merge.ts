import { same } from '../plan/json';
import type { Json } from '../plan/schema';
import type { Reading } from './reading';

/**
 * Several people read one line. Each says only what they read themselves, and of each such thing what of others they had before
 * them; so nobody blanks what another wrote, and what two wrote without knowing of each other stands side by side.
 */

export const READ_FIELDS = ['gainDb', 'peakDb', 'hum', 'content', 'pair', 'outcome', 'note'] as const;
export type ReadField = (typeof READ_FIELDS)[number];
type Value<F extends ReadField> = Exclude<Reading[F], undefined>;

/** What one person read of one thing. */
export interface Said<F extends ReadField = ReadField> {
  readonly id: string;
  readonly by: string | null;
  readonly at: string;
  readonly value: Value<F>;
}
export type ReadValues = { readonly [F in ReadField]: Value<F> };
/** A line as all readings of it together say. */
export interface MergedReading extends ReadValues {
  readonly lineId: string;
  readonly practice: boolean;
  readonly done: boolean;
  /** When something was last read of it, and by whom. */
  readonly at: string;
  readonly by: string | null;
  /** What stands now, by field, newest first; more than one where people did not know of each other. */
  readonly said: { readonly [F in ReadField]: readonly Said<F>[] };
}
type By = Reading & { readonly by: string | null };

const BLANK: ReadValues = { gainDb: null, peakDb: null, hum: null, content: null, pair: null, outcome: null, note: '' };

/**
 * All readings of one line as one.
 * @param readings of the line, newest first
 * @returns undefined where there are none
 */
export function mergeReadings(readings: readonly By[]): MergedReading | undefined {
  const [newest] = readings;
  if (!newest) return undefined;
  const said = Object.fromEntries(
    READ_FIELDS.map((f) => [f, standing(readings, f)])
  ) as unknown as MergedReading['said'];
  const value = <F extends ReadField>(f: F): ReadValues[F] => (said[f][0]?.value ?? BLANK[f]) as ReadValues[F];
  const { lineId, practice, at, by } = newest;
  return {
    ...{ lineId, practice, at, by, said },
    ...(Object.fromEntries(READ_FIELDS.map((f) => [f, value(f)])) as unknown as ReadValues),
    done: readings.find((r) => r.done !== undefined)?.done ?? false
  };
}

/** What is said of a field and was before nobody who said something else of it; one of each value. */
function standing(readings: readonly By[], field: ReadField): Said[] {
  const saying = readings.filter((r) => r[field] !== undefined);
  const seen = new Set(
    saying.flatMap((r, k) => {
      // A reading of an earlier version says everything at once, and stands for everything before it.
      if (r.saw === undefined) return saying.slice(k + 1).map((older) => older.id);
      return r.saw[field] ?? [];
    })
  );
  const all = saying.filter((r) => !seen.has(r.id));
  // Who read nothing says nothing against what another read.
  const heads = all.some((r) => r[field] !== null) ? all.filter((r) => r[field] !== null) : all;
  return heads
    .filter((r, k) => heads.findIndex((h) => same(h[field] as Json, r[field] as Json)) === k)
    .map((r) => ({ id: r.id, by: r.by, at: r.at, value: r[field] as Value<ReadField> }));
}
