import { type Venue, VenueSchema } from '$core/venue/schema';
import * as z from '$core/text/zod';

/** Places of a crew between browser and server. */

/** A change of a place: it says what it changes from, so that nobody overwrites what they have not seen. */
export const VenueChangeSchema = z.strictObject({ from: z.nullable(VenueSchema), to: VenueSchema });
/** Where a show is played tonight, and where on its other night. */
export const PlaySchema = z.strictObject({ venue: z.nullable(z.uuid()), other: z.optional(z.nullable(z.uuid())) });
/** A change on its way to the server. */
export const VenueStepSchema = z.discriminatedUnion('kind', [
  z.strictObject({ step: z.uuid(), kind: z.literal('venue'), id: z.uuid(), change: VenueChangeSchema }),
  z.strictObject({
    ...{ step: z.uuid(), kind: z.literal('play'), show: z.uuid() },
    ...{ venue: z.nullable(z.uuid()), other: z.nullable(z.uuid()) }
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
