import * as z from '../text/zod';
import type { MergedReading } from './merge';

/** How a line was left in the check. */
const OUTCOMES = ['works', 'later', 'faulty'] as const;
type OutcomeWord = (typeof OUTCOMES)[number];

export const OutcomeSchema = z.strictObject({
  is: z.enum(OUTCOMES),
  /** What of a faulty line is at fault: id of a device or a cable of it; left out while nobody knows. */
  part: z.optional(z.string().check(z.regex(/^[a-z0-9-]{1,40}$/)))
});
export type LineOutcome = z.infer<typeof OutcomeSchema>;

/** How a line stands by what people did with it; `unread`: said to work, and nothing was read of it. */
export type Left = OutcomeWord | 'unread' | 'started';

/** Whether anything was read of a line: what was noted or said of it is no reading. */
export const anythingRead = (r: Pick<MergedReading, 'gainDb' | 'peakDb' | 'hum' | 'content' | 'pair'>): boolean =>
  [r.gainDb, r.peakDb, r.hum, r.content, r.pair].some((v) => v !== null);

/** @param r what all readings of a line together say */
export function leftAs(
  r: Pick<MergedReading, 'outcome' | 'done' | 'gainDb' | 'peakDb' | 'hum' | 'content' | 'pair'>
): Left {
  if (r.outcome && r.outcome.is !== 'works') return r.outcome.is;
  // Readings of an earlier version know but one way of being done.
  if (!r.outcome && !r.done) return 'started';
  return anythingRead(r) ? 'works' : 'unread';
}
