import * as z from '$core/text/zod';

/** What is told to everybody who looks, at once. It says only that something is new, not what: that is fetched by whoever wants it. */

const show = z.uuid();
/** Somebody's tab, and what it has open. */
export const HereSchema = z.strictObject({
  tab: z.uuid(),
  /** Which view, as the address names it. */
  view: z.string().check(z.regex(/^[a-z]{0,20}$/)),
  line: z.nullable(z.string().check(z.regex(/^[a-z0-9-]{1,40}$/))),
  /** Others are asked to say where they are, too. */
  asks: z.boolean(),
  left: z.boolean()
});
export type Here = z.infer<typeof HereSchema>;

export const LiveEventSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('edits'), show, revision: z.int() }),
  z.object({ kind: z.enum(['readings', 'ticks', 'traces', 'prints', 'stops', 'log']), show }),
  z.object({ kind: z.enum(['kit', 'venues', 'players']) }),
  z.object({ kind: z.literal('here'), show, here: HereSchema, name: z.string(), device: z.string() })
]);
export type LiveEvent = z.infer<typeof LiveEventSchema>;
export type LiveKind = LiveEvent['kind'];
