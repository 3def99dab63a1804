import * as z from '../text/zod';

/** Two sides of a stereo pair, heard: each alone, panned, and summed. */

/** Left alone, panned hard: where it comes out. */
export const SIDES = ['right', 'swapped', 'one', 'both'] as const;
/** Both in the middle, summed to mono, against the two apart. */
export const MONOS = ['holds', 'thins', 'cancels'] as const;

export const PairReadingSchema = z.strictObject({
  sides: z.nullable(z.enum(SIDES)),
  mono: z.nullable(z.enum(MONOS))
});
export type PairReading = z.infer<typeof PairReadingSchema>;
