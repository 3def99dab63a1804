import { ReadingSchema } from '$core/check/reading';
import { EditSchema, type Plan, PlanSchema } from '$core/plan/schema';
import { type Kit, KIT_LIMITS, KitItemSchema } from '$core/kit/schema';
import * as z from 'zod';
import { BATCH, READINGS } from './batch';

/** What travels between browser and server, checked on arrival on both sides. */

export const SHOW_NAME = z.string().trim().min(1, 'a show needs a name').max(80, 'at most 80 characters');

const SentEditSchema = z.strictObject({
  edit: EditSchema,
  kind: z.enum(['do', 'undo', 'redo']),
  /** The edit that an undo takes back or a redo brings again. */
  of: z.uuid().nullable()
});
export type SentEdit = z.infer<typeof SentEditSchema>;

export const PushSchema = z.strictObject({
  base: z.number().int().min(0),
  edits: z.array(SentEditSchema).min(1).max(BATCH)
});

/** What a browser keeps of edits that are not on the server yet. */
export const PendingSchema = z.object({
  queue: z.array(SentEditSchema),
  aside: z.array(z.object({ sent: SentEditSchema, why: z.string() }))
});

export const PushAnswerSchema = z.object({
  revision: z.number().int(),
  /** Ids taken in, in order. */
  accepted: z.array(z.string()),
  /** The first edit that no longer fits what others have made of the plan. */
  conflict: z.object({ id: z.string(), fault: z.unknown() }).nullable(),
  /** The whole plan, when the browser's base was old or something did not fit. */
  plan: PlanSchema.nullable()
});
export type PushAnswer = z.infer<typeof PushAnswerSchema>;

/** A plan as a file. */
export const PlanFileSchema = z.strictObject({
  kind: z.literal('guanxi-show'),
  name: SHOW_NAME,
  plan: z.unknown()
});

const itemId = z.string().regex(/^[a-z0-9-]{1,40}$/);
/** Changes of a kit: each says what it changes from, so that nobody overwrites what they have not seen. */
export const KitChangesSchema = z.strictObject({
  changes: z
    .array(z.strictObject({ id: itemId, from: KitItemSchema.nullable(), to: KitItemSchema.nullable() }))
    .min(1)
    .max(KIT_LIMITS.items)
});
export type KitChange = z.infer<typeof KitChangesSchema>['changes'][number];

export const TickSchema = z.strictObject({ key: z.string().min(1).max(200), on: z.boolean() });

/** A show as it was printed. */
export interface Printed {
  readonly id: string;
  readonly revision: number;
  readonly at: string;
  readonly plan: Plan;
  readonly kit: Kit | null;
}

export const ReadingsSchema = z.strictObject({ readings: z.array(ReadingSchema).min(1).max(READINGS) });
/** What a browser keeps of readings that are not on the server yet. */
export const ReadingQueueSchema = z.array(ReadingSchema);
/** And of pictures, as data URLs. */
export const PhotoQueueSchema = z.array(
  z.strictObject({
    id: z.uuid(),
    lineId: z.string().max(40),
    at: z.string(),
    data: z.string().startsWith('data:image/jpeg;base64,')
  })
);
