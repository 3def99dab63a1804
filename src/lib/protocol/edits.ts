import { EditSchema, PlanSchema } from '$core/plan/schema';
import * as z from '$core/text/zod';
import { BATCH } from './limits';

/** Edits of a show as they travel between browser and server, checked on arrival on both sides. */

export const SentEditSchema = z.strictObject({
  edit: EditSchema,
  kind: z.enum(['do', 'undo', 'redo']),
  /** The edit that an undo takes back or a redo brings again. */
  of: z.nullable(z.uuid())
});
export type SentEdit = z.infer<typeof SentEditSchema>;

export const PushSchema = z.strictObject({
  base: z.int().check(z.minimum(0)),
  edits: z.array(SentEditSchema).check(z.minLength(1), z.maxLength(BATCH))
});

/** An edit as the server has it: the revision it made, and who made it; null where that is not told. */
const KnownEditSchema = z.object({
  revision: z.int(),
  by: z.nullable(z.string()),
  sent: SentEditSchema
});

/** What has been done to a show since a revision: the edits one by one, or the whole plan where they are too many. */
export const SinceSchema = z.object({
  revision: z.int(),
  edits: z.array(KnownEditSchema),
  plan: z.nullable(PlanSchema)
});
export type Since = z.infer<typeof SinceSchema>;

export const PushAnswerSchema = z.extend(SinceSchema, {
  /** Ids taken in, in order. */
  accepted: z.array(z.string()),
  /** The first edit that no longer fits what others have made of the plan. */
  conflict: z.nullable(z.object({ id: z.string(), fault: z.unknown() }))
});
export type PushAnswer = z.infer<typeof PushAnswerSchema>;
