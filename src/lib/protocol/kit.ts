import { KIT_LIMITS, type KitItem, KitItemSchema } from '$core/kit/schema';
import { saidText } from '$core/text/schema';
import * as z from 'zod';

const itemId = z.string().regex(/^[a-z0-9-]{1,40}$/);
/** Changes of a kit: each says what it changes from, so that nobody overwrites what they have not seen. */
export const KitChangesSchema = z.strictObject({
  changes: z
    .array(
      z
        .strictObject({
          id: itemId,
          from: KitItemSchema.nullable(),
          to: KitItemSchema.nullable(),
          /** What somebody said became of it. */
          said: saidText(KIT_LIMITS.note).optional(),
          /** The show at which it happened. */
          show: z.uuid().optional()
        })
        .refine(({ from, to }) => from !== null || to !== null, 'changes nothing')
    )
    .min(1)
    .max(KIT_LIMITS.items)
});
export type KitChange = z.infer<typeof KitChangesSchema>['changes'][number];

/** Names the crew that a change of the kit is for: another tab may have chosen another one meanwhile. */
export const CREW_HEADER = 'x-guanxi-crew';

/** Something that became of an item. */
export interface KitEvent {
  readonly at: string;
  readonly by: string | null;
  readonly before: KitItem | null;
  readonly after: KitItem | null;
  /** What somebody said of it. */
  readonly said: string | null;
  /** Where it happened. */
  readonly show: { readonly id: string; readonly name: string } | null;
}
