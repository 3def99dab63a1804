import { saidText } from '$core/text/schema';
import { CHANGES } from '$core/trace/ear';
import { NOTICES, SINCES, SPREADS } from '$core/trace/first-answers';
import { SOUNDS } from '$core/trace/hypotheses';
import { TOLD_ASKS } from '$core/trace/infer';
import { PROBE_IDS } from '$core/trace/probes';
import * as z from '$core/text/zod';

const id = z.string().check(z.regex(/^[a-z0-9-]{1,40}$/));

/** Words of an earlier version, in what a browser has kept or a trace was written down as. */
const EARLIER: Readonly<Record<string, string>> = { quieter: 'much-less', louder: 'worse' };
const change = z.pipe(
  z.transform((is) => (typeof is === 'string' ? (EARLIER[is] ?? is) : is)),
  z.enum(CHANGES)
);

const AnswerSchema = z.discriminatedUnion('ask', [
  z.strictObject({
    ask: z.literal('sound'),
    is: z.enum(SOUNDS),
    heard: z.optional(z.partialRecord(z.enum(SOUNDS), z.number().check(z.minimum(0), z.maximum(1))))
  }),
  z.strictObject({ ask: z.literal('lines'), is: z.enum(SPREADS) }),
  z.strictObject({ ask: z.literal('since'), is: z.enum(SINCES) }),
  z.strictObject({ ask: z.literal('noticed'), is: z.enum(NOTICES) }),
  z.strictObject({ ask: z.enum(PROBE_IDS), is: change })
]);

export const MOST_BESIDES = 3;
export const MOST_SECONDS = 7 * 86_400;

/** What was found behind a noise. What is optional was not kept by earlier versions. */
export const TraceRecordSchema = z.strictObject({
  id: z.uuid(),
  lineId: id,
  at: z.iso.datetime(),
  answers: z.array(AnswerSchema).check(z.maxLength(30)),
  /** In words, as it was told then: plans change. */
  cause: saidText(200).check(z.minLength(1)),
  /** How sure, 0 to 1. */
  share: z.number().check(z.minimum(0), z.maximum(1)),
  note: saidText(500),
  /** What was asked and could not be told, or was not done. */
  skipped: z.optional(z.array(z.enum([...TOLD_ASKS, ...PROBE_IDS])).check(z.maxLength(30))),
  /** What it might have been besides, most likely first, in words. */
  besides: z.optional(
    z
      .array(
        z.strictObject({
          cause: saidText(200).check(z.minLength(1)),
          share: z.number().check(z.minimum(0), z.maximum(1))
        })
      )
      .check(z.maxLength(MOST_BESIDES))
  ),
  /** The test that took it away; null where nothing has yet. */
  cured: z.optional(z.nullable(z.enum(PROBE_IDS))),
  /** From the first question to writing it down. */
  seconds: z.optional(z.int().check(z.minimum(0), z.maximum(MOST_SECONDS)))
});
export type TraceRecord = z.infer<typeof TraceRecordSchema>;
