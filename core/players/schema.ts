// Players: the people who play at shows and their instruments, as a crew knows them. Knows gear and plans; computes nothing electrical.
import * as z from '../text/zod';
import { findModel } from '../gear/catalogue';
import { ROWS } from '../plan/schema';
import { saidText } from '../text/schema';

export const PLAYER_LIMITS = { name: 80, line: 400, wants: 200, note: 2000, heard: 400, hearings: 20 } as const;

const name = saidText(PLAYER_LIMITS.name).check(z.regex(/\S/, 'needs a name'));

/** Something that is played, and how it likes to be taken. */
export const InstrumentSchema = z.strictObject({
  name,
  /** Whose it is; empty where it is the crew’s. */
  player: saidText(PLAYER_LIMITS.name),
  /** Its line as it is typed, without a channel: lead, DI, run and input are what usually comes with it. */
  line: saidText(PLAYER_LIMITS.line).check(z.regex(/\S/, 'needs a line')),
  /** Class of the source. */
  model: z.string().check(z.refine((id) => findModel(id)?.family === 'source', 'no source of that name')),
  /** Its switches, and what was measured of it. */
  settings: ROWS.devices.shape.settings,
  /** Values of its own, where it has some. */
  own: z.nullable(ROWS.models),
  /** What is wanted for it, as it is said: `valve DI, no low cut`. */
  wants: saidText(PLAYER_LIMITS.wants),
  note: saidText(PLAYER_LIMITS.note),
  /** Class of the DI that was liked best by ear, blind, when it was last asked. */
  liked: z.optional(z.string().check(z.regex(/^[a-z0-9-]{1,40}$/))),
  /** What was liked by ear, newest first. */
  heard: z.optional(
    z
      .array(z.strictObject({ at: z.iso.datetime(), text: saidText(PLAYER_LIMITS.heard) }))
      .check(z.maxLength(PLAYER_LIMITS.hearings))
  )
});
export type Instrument = z.infer<typeof InstrumentSchema>;

/** Somebody who plays. A name is what a crew types; there is no account behind it. */
export const PlayerSchema = z.strictObject({
  name,
  /** Where they stand: `stage left, riser`. */
  position: saidText(PLAYER_LIMITS.name),
  /** What they want for whatever they play. */
  wants: saidText(PLAYER_LIMITS.wants),
  note: saidText(PLAYER_LIMITS.note)
});
export type Player = z.infer<typeof PlayerSchema>;
