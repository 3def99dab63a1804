import * as z from '$core/text/zod';

/** Pictures of what a crew knows, between browser and server. */

/** What a picture is of: a place, an instrument, a thing with a number. */
const PICTURES_OF = ['venue', 'instrument', 'unit'] as const;
export type PictureOf = (typeof PICTURES_OF)[number];
/** Under which news somebody hears of them. */
export const PICTURES_TOLD = { venue: 'venues', instrument: 'players', unit: 'kit' } as const satisfies Readonly<
  Record<PictureOf, string>
>;
export const PictureAskSchema = z.strictObject({
  of: z.enum(PICTURES_OF),
  id: z.string().check(z.regex(/^[a-z0-9-]{1,40}$/))
});
export type PictureAsk = z.infer<typeof PictureAskSchema>;

export interface PictureThere {
  readonly id: string;
  readonly at: string;
}
/** One that is on its way to the server, or on its way out. */
export const PictureStepSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    ...{ kind: z.literal('put'), step: z.uuid(), id: z.uuid(), about: PictureAskSchema, at: z.string() },
    /** JPEG as a data URL. */
    data: z.string().check(z.startsWith('data:image/jpeg;base64,'))
  }),
  z.strictObject({ kind: z.literal('drop'), step: z.uuid(), id: z.uuid(), about: PictureAskSchema })
]);
export type PictureStep = z.infer<typeof PictureStepSchema>;
