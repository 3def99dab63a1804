import { saidText } from '$core/text/schema';
import * as z from '$core/text/zod';

/** A stop: somebody felt a tingle, saw smoke, felt heat. It is the whole crew's until a person with a name has cleared it. */

export const StopSchema = z.strictObject({
  id: z.uuid(),
  /** The line at which it was; null where it was somewhere else. */
  lineId: z.nullable(z.string().check(z.regex(/^[a-z0-9-]{1,40}$/))),
  /** By the clock of whoever called it, as the server's stands. */
  at: z.int().check(z.positive())
});
export type Stop = z.infer<typeof StopSchema>;

/** Who has seen to it, and what they found. */
export const ClearSchema = z.strictObject({
  by: saidText(80).check(z.regex(/\S/, 'needs a name')),
  found: z.optional(saidText(500))
});
export type Clear = z.infer<typeof ClearSchema>;

/** As it stands on the server: who called it. */
export type OpenStop = Stop & { readonly by: string | null };
