import * as z from '../text/zod';
import { saidText } from '../text/schema';

/** The log of a show: what happened, in the order in which it did. Append-only: a correction is an entry that points at the one it corrects. */

/** What an entry is about; all but what people type write themselves. */
export const ENTRY_KINDS = ['edit', 'reading', 'trace', 'stop', 'cleared', 'print', 'kit', 'note', 'take'] as const;
export type EntryKind = (typeof ENTRY_KINDS)[number];

/** How a take went. */
const MARKS = ['good', 'best', 'false start', 'breakdown', 'noise', 'hum', 'clipped', 'late'] as const;
export type Mark = (typeof MARKS)[number];

/** Whether people type entries of a kind themselves. */
export const isTyped = (kind: EntryKind): boolean => kind === 'note' || kind === 'take';

const lineId = z.string().check(z.regex(/^[a-z0-9-]{1,40}$/));

/** What was understood of an entry that somebody typed, or what one that wrote itself is about. */
export const FactsSchema = z.strictObject({
  /** Lines it is about, by id. */
  lines: z.optional(z.array(lineId).check(z.maxLength(2000))),
  /** Numbered things of the kit that it is about, by id. */
  units: z.optional(z.array(lineId).check(z.maxLength(50))),
  song: z.optional(saidText(80)),
  take: z.optional(z.int().check(z.minimum(1), z.maximum(9999))),
  marks: z.optional(z.array(z.enum(MARKS)).check(z.maxLength(8))),
  /** A place in the recording, as it was typed: `1:20`, `01:02:03:04`. */
  timecode: z.optional(z.string().check(z.maxLength(20))),
  /** Revision of the show that it happened on. */
  revision: z.optional(z.int().check(z.minimum(0)))
});
export type EntryFacts = z.infer<typeof FactsSchema>;

export const LOG_LIMITS = { text: 500, tags: 12 } as const;

/** What somebody types into the log. Its id is made where it was typed, so that a repeat does no harm. */
export const TypedSchema = z.strictObject({
  id: z.uuid(),
  /** When it was typed, by the clock of the server as the browser knows it. */
  at: z.iso.datetime(),
  text: saidText(LOG_LIMITS.text).check(z.regex(/\S/, 'needs some text')),
  /** The line that was open. */
  lineId: z.nullable(lineId),
  /** The entry that it corrects. */
  of: z.nullable(z.uuid()),
  /** Revision of the show on the screen it was typed at. */
  revision: z.int().check(z.minimum(0))
});
export type TypedEntry = z.infer<typeof TypedSchema>;

/** An entry as it is read. */
export interface LogEntry {
  readonly id: string;
  readonly at: string;
  readonly kind: EntryKind;
  readonly text: string;
  readonly by: string | null;
  readonly tags: readonly string[];
  readonly facts: EntryFacts;
  /** What corrects it, oldest first; the last is what holds. */
  readonly corrections: readonly { readonly at: string; readonly by: string | null; readonly text: string }[];
  /** The show, by its id, and as it was called then. */
  readonly show: string;
  readonly place: string;
}

/** What holds of an entry: its newest correction. */
export const stands = ({ text, corrections }: Pick<LogEntry, 'text' | 'corrections'>): string =>
  corrections.at(-1)?.text ?? text;
