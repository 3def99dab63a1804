import { type Instrument, InstrumentSchema, type Player, PlayerSchema } from '$core/players/schema';
import type { KnownInstrument } from '$core/players/named';
import * as z from '$core/text/zod';

/** Players and instruments of a crew between browser and server. */

/** A change says what it changes from, so that nobody overwrites what they have not seen; to null it is taken out. */
const something = ({ from, to }: { from: unknown; to: unknown }): boolean => from !== null || to !== null;
const NOTHING = 'changes nothing';
export const InstrumentChangeSchema = z
  .strictObject({ from: z.nullable(InstrumentSchema), to: z.nullable(InstrumentSchema) })
  .check(z.refine(something, NOTHING));
export const PlayerChangeSchema = z
  .strictObject({ from: z.nullable(PlayerSchema), to: z.nullable(PlayerSchema) })
  .check(z.refine(something, NOTHING));

interface KnownPlayer {
  readonly id: string;
  readonly player: Player;
}
/** All that a crew knows of who plays what. */
export interface Players {
  readonly instruments: readonly KnownInstrument[];
  readonly players: readonly KnownPlayer[];
}
export type { Instrument, Player };
