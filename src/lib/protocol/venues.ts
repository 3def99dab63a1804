import { type Venue, VenueSchema } from '$core/venue/schema';
import * as z from 'zod';

/** Places of a crew between browser and server. */

/** A change of a place: it says what it changes from, so that nobody overwrites what they have not seen. */
export const VenueChangeSchema = z.strictObject({ from: VenueSchema.nullable(), to: VenueSchema });
/** Where a show is played tonight, and where on its other night. */
export const PlaySchema = z.strictObject({ venue: z.uuid().nullable(), other: z.uuid().nullable().optional() });
/** A change on its way to the server. */
export const VenueStepSchema = z.discriminatedUnion('kind', [
  z.strictObject({ step: z.uuid(), kind: z.literal('venue'), id: z.uuid(), change: VenueChangeSchema }),
  z.strictObject({
    ...{ step: z.uuid(), kind: z.literal('play'), show: z.uuid() },
    ...{ venue: z.uuid().nullable(), other: z.uuid().nullable() }
  })
]);
export type VenueStep = z.infer<typeof VenueStepSchema>;

export interface VenueOf {
  readonly id: string;
  readonly venue: Venue;
  /** How many shows were there. */
  readonly shows: number;
}

/** Places of a crew, and at which of them a show is. */
export interface Places {
  readonly here: string | null;
  readonly other: string | null;
  readonly venues: readonly VenueOf[];
}
