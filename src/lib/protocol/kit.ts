import { KIT_LIMITS, KitItemSchema } from '$core/kit/schema';
import * as z from 'zod';

const itemId = z.string().regex(/^[a-z0-9-]{1,40}$/);
/** Changes of a kit: each says what it changes from, so that nobody overwrites what they have not seen. */
export const KitChangesSchema = z.strictObject({
  changes: z
    .array(z.strictObject({ id: itemId, from: KitItemSchema.nullable(), to: KitItemSchema.nullable() }))
    .min(1)
    .max(KIT_LIMITS.items)
});
export type KitChange = z.infer<typeof KitChangesSchema>['changes'][number];

/** Names the crew that a change of the kit is for: another tab may have chosen another one meanwhile. */
export const CREW_HEADER = 'x-guanxi-crew';
