import { type Venue, VenueSchema } from '$core/venue/schema';
import * as z from 'zod';

/** Places of a crew between browser and server. */

/** A change of a place: it says what it changes from, so that nobody overwrites what they have not seen. */
export const VenueChangeSchema = z.strictObject({ from: VenueSchema.nullable(), to: VenueSchema });
export const PlaySchema = z.strictObject({ venue: z.uuid().nullable() });

export interface VenueOf {
  readonly id: string;
  readonly venue: Venue;
  /** How many shows were there. */
  readonly shows: number;
}
