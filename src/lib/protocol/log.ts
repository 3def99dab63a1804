import { ENTRY_KINDS, type LogEntry, TypedSchema } from '$core/log/entry';
import type { Setup } from '$core/log/setup';
import * as z from 'zod';

/** The log between browser and server. */

/** Most entries in one message. */
export const ENTRIES = 50;
export const TypedEntriesSchema = z.strictObject({ entries: z.array(TypedSchema).min(1).max(ENTRIES) });

/** What of the log is asked for; as it stands in an address. */
export const LogAskSchema = z.object({
  q: z.string().max(200).optional(),
  show: z.uuid().optional(),
  kind: z.enum(ENTRY_KINDS).optional(),
  line: z
    .string()
    .regex(/^[a-z0-9-]{1,40}$/)
    .optional(),
  by: z.string().max(80).optional(),
  /** Of a thing of the kit. */
  unit: z
    .string()
    .regex(/^[a-z0-9-]{1,40}$/)
    .optional(),
  /** At shows that were played there. */
  venue: z.uuid().optional(),
  /** Older than this one: `2026-03-01T20:00:00.000Z ID`. */
  before: z
    .string()
    .transform((text, c) => {
      const [at, id] = text.split(' ');
      if (z.iso.datetime().safeParse(at).success && z.uuid().safeParse(id).success) return { at, id };
      c.addIssue('is no place in the log');
      return z.NEVER;
    })
    .optional()
});
export type LogAsk = z.infer<typeof LogAskSchema>;

/** What of all that worked is asked for; as it stands in an address. */
export const WorkedAskSchema = z.object({
  instrument: z.uuid().optional(),
  /** At shows that were played there. */
  venue: z.uuid().optional(),
  /** Class of a DI in it. */
  box: z
    .string()
    .regex(/^[a-z0-9-]{1,40}$/)
    .optional(),
  /** Class of the input that it ended in. */
  input: z
    .string()
    .regex(/^[a-z0-9-]{1,40}$/)
    .optional(),
  /** Beginnings of words of its name. */
  q: z.string().max(80).optional()
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
