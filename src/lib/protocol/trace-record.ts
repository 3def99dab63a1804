import { saidText } from '$core/text/schema';
import { CHANGES } from '$core/trace/ear';
import { NOTICES, SINCES, SPREADS } from '$core/trace/first-answers';
import { SOUNDS } from '$core/trace/hypotheses';
import { TOLD_ASKS } from '$core/trace/infer';
import { PROBE_IDS } from '$core/trace/probes';
import * as z from 'zod';

const id = z.string().regex(/^[a-z0-9-]{1,40}$/);

/** Words of an earlier version, in what a browser has kept or a trace was written down as. */
const EARLIER: Readonly<Record<string, string>> = { quieter: 'much-less', louder: 'worse' };
const change = z.preprocess((is) => (typeof is === 'string' ? (EARLIER[is] ?? is) : is), z.enum(CHANGES));

const AnswerSchema = z.discriminatedUnion('ask', [
  z.strictObject({
    ask: z.literal('sound'),
    is: z.enum(SOUNDS),
    heard: z.partialRecord(z.enum(SOUNDS), z.number().min(0).max(1)).optional()
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
  answers: z.array(AnswerSchema).max(30),
  /** In words, as it was told then: plans change. */
  cause: saidText(200).min(1),
  /** How sure, 0 to 1. */
  share: z.number().min(0).max(1),
  note: saidText(500),
  /** What was asked and could not be told, or was not done. */
  skipped: z
    .array(z.enum([...TOLD_ASKS, ...PROBE_IDS]))
    .max(30)
    .optional(),
  /** What it might have been besides, most likely first, in words. */
  besides: z
    .array(z.strictObject({ cause: saidText(200).min(1), share: z.number().min(0).max(1) }))
    .max(MOST_BESIDES)
    .optional(),
  /** The test that took it away; null where nothing has yet. */
  cured: z.enum(PROBE_IDS).nullable().optional(),
  /** From the first question to writing it down. */
  seconds: z.number().int().min(0).max(MOST_SECONDS).optional()
});
export type TraceRecord = z.infer<typeof TraceRecordSchema>;
