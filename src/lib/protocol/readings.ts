import type { MergedReading } from '$core/linecheck/merge';
import type { Left } from '$core/linecheck/outcome';
import { type Reading, ReadingSchema } from '$core/linecheck/reading';
import * as z from '$core/text/zod';
import { READINGS } from './limits';

/** What is read off lines, and pictures of them, between browser and server. */

/** A reading with who read it; null for one's own that is still on its way. */
export interface ReadingBy extends Reading {
  readonly by: string | null;
}
/** A line as it was left in the check: for the board, and for the line. */
export interface Checked extends Omit<MergedReading, 'said'> {
  readonly left: Left;
  /** The show that it was read at, where this one was copied from that and nobody has read it here. */
  readonly last: string | null;
}
export const ReadingsSchema = z.strictObject({
  readings: z.array(ReadingSchema).check(z.minLength(1), z.maxLength(READINGS))
});

/** A picture of a line. */
export interface PhotoOf {
  readonly id: string;
  readonly lineId: string;
  readonly at: string;
}
/** One that is still on its way, with the picture itself. */
export const PhotoHereSchema = z.strictObject({
  id: z.uuid(),
  lineId: z.string().check(z.maxLength(40)),
  at: z.string(),
  /** JPEG as a data URL. */
  data: z.string().check(z.startsWith('data:image/jpeg;base64,'))
});
export type PhotoHere = Readonly<z.infer<typeof PhotoHereSchema>>;
