import * as z from '../text/zod';
import { saidText } from '../text/schema';
import { CONTENTS, HUM_WORDS } from './hum';
import { OutcomeSchema } from './outcome';
import { PairReadingSchema } from './pair-reading';

/** What somebody reads off a line at the desk, and how it is told in words or numbers. */

export const ReadingSchema = z.strictObject({
  id: z.uuid(),
  lineId: z.string().check(z.regex(/^[a-z0-9-]{1,40}$/)),
  /** When it was read, by the clock of whoever read it. */
  at: z.iso.datetime(),
  // What is left out was not read this time, and stands as others read it; null takes a reading back.
  /** Gain at which the loudest playing stands at the working level, dB. */
  gainDb: z.optional(z.nullable(z.number().check(z.minimum(-40), z.maximum(100)))),
  /** Loudest peak on the desk's meter at that gain, dBFS. */
  peakDb: z.optional(z.nullable(z.number().check(z.minimum(-90), z.maximum(20)))),
  /** As it is heard in a quiet moment, or measured: dB under the playing. */
  hum: z.optional(z.nullable(z.union([z.enum(HUM_WORDS), z.number().check(z.minimum(0), z.maximum(150))]))),
  /** What comes out of the channel. */
  content: z.optional(z.nullable(z.enum(CONTENTS))),
  /** Of a side of a stereo pair: what the two do together. */
  pair: z.optional(z.nullable(PairReadingSchema)),
  /** How it was left: it works, somebody comes back to it, or something of it is faulty. */
  outcome: z.optional(z.nullable(OutcomeSchema)),
  /** It is finished with, and up. */
  done: z.optional(z.boolean()),
  note: z.optional(saidText(500)),
  /** By field, ids of the readings that whoever read it had before them: this one stands in their place. */
  saw: z.optional(
    z.partialRecord(
      z.enum(['gainDb', 'peakDb', 'hum', 'content', 'pair', 'outcome', 'note']),
      z.array(z.uuid()).check(z.maxLength(20))
    )
  ),
  /** Of the show that this one was copied from: how it was last time. */
  last: z.optional(z.string().check(z.maxLength(80))),
  /** Read off the stand-in venue, not off a real desk. */
  practice: z.boolean()
});
export type Reading = z.infer<typeof ReadingSchema>;
