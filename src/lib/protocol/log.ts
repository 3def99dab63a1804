import { ENTRY_KINDS, type LogEntry, TypedSchema } from '$core/log/entry';
import type { Setup } from '$core/log/setup';
import * as z from '$core/text/zod';

/** The log between browser and server. */

/** Most entries in one message. */
export const ENTRIES = 50;
export const TypedEntriesSchema = z.strictObject({
  entries: z.array(TypedSchema).check(z.minLength(1), z.maxLength(ENTRIES))
});

/** What of the log is asked for; as it stands in an address. */
export const LogAskSchema = z.object({
  q: z.optional(z.string().check(z.maxLength(200))),
  show: z.optional(z.uuid()),
  kind: z.optional(z.enum(ENTRY_KINDS)),
  line: z.optional(z.string().check(z.regex(/^[a-z0-9-]{1,40}$/))),
  by: z.optional(z.string().check(z.maxLength(80))),
  /** Of a thing of the kit. */
  unit: z.optional(z.string().check(z.regex(/^[a-z0-9-]{1,40}$/))),
  /** At shows that were played there. */
  venue: z.optional(z.uuid()),
  /** Older than this one: `2026-03-01T20:00:00.000Z ID`. */
  before: z.optional(
    z.pipe(
      z.string(),
      z.transform((text, c) => {
        const [at, id] = text.split(' ');
        if (z.iso.datetime().safeParse(at).success && z.uuid().safeParse(id).success) return { at, id };
        c.issues.push({ code: 'custom', message: 'is no place in the log', input: text });
        return z.NEVER;
      })
    )
  )
});
export type LogAsk = z.infer<typeof LogAskSchema>;

/** What of all that worked is asked for; as it stands in an address. */
export const WorkedAskSchema = z.object({
  instrument: z.optional(z.uuid()),
  /** At shows that were played there. */
  venue: z.optional(z.uuid()),
  /** Class of a DI in it. */
  box: z.optional(z.string().check(z.regex(/^[a-z0-9-]{1,40}$/))),
  /** Class of the input that it ended in. */
  input: z.optional(z.string().check(z.regex(/^[a-z0-9-]{1,40}$/))),
  /** Beginnings of words of its name. */
  q: z.optional(z.string().check(z.maxLength(80)))
});
export type WorkedAsk = z.infer<typeof WorkedAskSchema>;

/** A page of the log; `more`: there are older ones. */
export interface LogPage {
  readonly entries: readonly LogEntry[];
  readonly more: boolean;
}

/** A line as it was set when it worked. */
export interface WorkedBefore {
  readonly id: string;
  readonly at: string;
  readonly by: string | null;
  readonly show: string;
  readonly lineId: string;
  /** The show as it was called then. */
  readonly place: string;
  /** Of the same name; else of a source of the same class. */
  readonly named: boolean;
  readonly setup: Setup;
  /** How many pictures there are of it. */
  readonly photos: number;
}

/** A line by its name, as it was said when it last worked. */
export interface Remembered {
  readonly name: string;
  readonly said: string;
  /** The show as it was called then. */
  readonly place: string;
  readonly at: string;
}
