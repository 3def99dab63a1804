import * as z from 'zod';

/** What somebody reads off a line at the desk, and how it is told in words or numbers. */

export const HUM_WORDS = ['none', 'faint', 'clear'] as const;
export type HumWord = (typeof HUM_WORDS)[number];
export const CONTENTS = ['right', 'distorted', 'silent', 'wrong'] as const;
export type Content = (typeof CONTENTS)[number];

export const ReadingSchema = z.strictObject({
  id: z.uuid(),
  lineId: z.string().regex(/^[a-z0-9-]{1,40}$/),
  /** When it was read, by the clock of whoever read it. */
  at: z.iso.datetime(),
  /** Gain at which the loudest playing stands at the working level, dB. */
  gainDb: z.number().min(-40).max(100).nullable(),
  /** As it is heard in a quiet moment, or measured: dB under the playing. */
  hum: z.union([z.enum(HUM_WORDS), z.number().min(0).max(150)]).nullable(),
  /** What comes out of the channel. */
  content: z.enum(CONTENTS).nullable(),
  /** It is finished with: as it should be, or as it will have to do. */
  done: z.boolean(),
  note: z.string().max(500),
  /** Read off the stand-in venue, not off a real desk. */
  practice: z.boolean()
});
export type Reading = z.infer<typeof ReadingSchema>;

/** Hum as it is told: nothing heard from so far under the playing on, faint above that, clear above that, dB. */
export const HUM_BOUNDS: Readonly<Record<HumWord, readonly [least: number, most: number]>> = {
  none: [60, Infinity],
  faint: [40, 60],
  clear: [-Infinity, 40]
};

/** The word for a hum so far under the playing, dB. */
export const humWord = (below: number): HumWord => HUM_WORDS.find((w) => below >= HUM_BOUNDS[w][0])!;
