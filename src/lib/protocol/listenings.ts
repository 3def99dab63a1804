import { LEAST, MOST } from '$core/hear/fair';
import { saidText } from '$core/text/schema';
import * as z from '$core/text/zod';

/** Several people listen to one set, each on their own phone and blind, between browser and server. */

export const LISTENING_LIMITS = {
  /** Of a show so many sets are kept, and of a set so many answers. */
  sets: 20,
  answers: 200,
  name: 300,
  who: 80,
  /** A sound is sent in parts of so many bytes, and has so many of them at most: a minute and a half of 24 bits. */
  part: 800_000,
  parts: 18
} as const;

const ListeningSetSchema = z.strictObject({
  /** Line that it is about, as it is called. */
  line: z.string().check(z.regex(/^[a-z0-9-]{1,40}$/)),
  called: saidText(LISTENING_LIMITS.name),
  names: z.array(saidText(LISTENING_LIMITS.name)).check(z.minLength(LEAST), z.maxLength(MOST)),
  rounds: z.union([z.literal(1), z.literal(3), z.literal(5)])
});
export type ListeningSet = z.infer<typeof ListeningSetSchema>;
export const ListeningSchema = z.strictObject({ id: z.uuid(), set: ListeningSetSchema });

/** What somebody liked, round by round: the thing, whatever letter it stood under. */
export const AnswerSchema = z.strictObject({
  id: z.uuid(),
  who: saidText(LISTENING_LIMITS.who),
  liked: z.array(z.number().check(z.minimum(0), z.maximum(MOST - 1))).check(z.maxLength(5))
});
export type Answer = z.infer<typeof AnswerSchema>;

/** What a phone is told of a set: nothing that tells which is which. */
export interface ListeningFor {
  readonly id: string;
  readonly called: string;
  readonly count: number;
  readonly rounds: number;
  /** All sounds are there. */
  readonly ready: boolean;
}
