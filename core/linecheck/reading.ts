import * as z from 'zod';
import { saidText } from '../text/schema';
import { CONTENTS, HUM_WORDS } from './hum';
import { OutcomeSchema } from './outcome';
import { PairReadingSchema } from './pair-reading';

/** What somebody reads off a line at the desk, and how it is told in words or numbers. */

export const ReadingSchema = z.strictObject({
  id: z.uuid(),
  lineId: z.string().regex(/^[a-z0-9-]{1,40}$/),
  /** When it was read, by the clock of whoever read it. */
  at: z.iso.datetime(),
  // What is left out was not read this time, and stands as others read it; null takes a reading back.
  /** Gain at which the loudest playing stands at the working level, dB. */
  gainDb: z.number().min(-40).max(100).nullable().optional(),
  /** Loudest peak on the desk's meter at that gain, dBFS. */
  peakDb: z.number().min(-90).max(20).nullable().optional(),
  /** As it is heard in a quiet moment, or measured: dB under the playing. */
  hum: z
    .union([z.enum(HUM_WORDS), z.number().min(0).max(150)])
    .nullable()
    .optional(),
  /** What comes out of the channel. */
  content: z.enum(CONTENTS).nullable().optional(),
  /** Of a side of a stereo pair: what the two do together. */
  pair: PairReadingSchema.nullable().optional(),
  /** How it was left: it works, somebody comes back to it, or something of it is faulty. */
  outcome: OutcomeSchema.nullable().optional(),
  /** It is finished with, and up. */
  done: z.boolean().optional(),
  note: saidText(500).optional(),
  /** By field, ids of the readings that whoever read it had before them: this one stands in their place. */
  saw: z
    .partialRecord(z.enum(['gainDb', 'peakDb', 'hum', 'content', 'pair', 'outcome', 'note']), z.array(z.uuid()).max(20))
    .optional(),
  /** Of the show that this one was copied from: how it was last time. */
  last: z.string().max(80).optional(),
  /** Read off the stand-in venue, not off a real desk. */
  practice: z.boolean()
});
export type Reading = z.infer<typeof ReadingSchema>;
