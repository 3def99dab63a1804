import { KIT_LIMITS, type KitItem, KitItemSchema } from '$core/kit/schema';
import { saidText } from '$core/text/schema';
import * as z from '$core/text/zod';

const itemId = z.string().check(z.regex(/^[a-z0-9-]{1,40}$/));
/** Changes of a kit: each says what it changes from, so that nobody overwrites what they have not seen. */
export const KitChangesSchema = z.strictObject({
  changes: z
    .array(
      z
        .strictObject({
          id: itemId,
          from: z.nullable(KitItemSchema),
          to: z.nullable(KitItemSchema),
          /** What somebody said became of it. */
          said: z.optional(saidText(KIT_LIMITS.note)),
          /** The show at which it happened. */
          show: z.optional(z.uuid())
        })
        .check(z.refine(({ from, to }) => from !== null || to !== null, 'changes nothing'))
    )
    .check(z.minLength(1), z.maxLength(KIT_LIMITS.items))
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
