// Venue: what a crew knows of a place where it plays, and what of it goes into a show. Knows plans; computes nothing electrical.
import * as z from '../text/zod';
import { MAX_METRES } from '../gear/cables';
import { ROWS } from '../plan/schema';
import { saidText } from '../text/schema';

export const VENUE_LIMITS = { name: 80, note: 2000, sockets: 400, supplies: 50, boxes: 40, runs: 200 } as const;

const name = saidText(VENUE_LIMITS.name).check(z.regex(/\S/, 'needs a name'));

/** A socket of a stage box or a tie line of which there is something to know. */
const SocketSchema = z.strictObject({
  /** The stage box, as it is called there; empty where there is but one. */
  box: saidText(40),
  socket: z.int().check(z.minimum(1), z.maximum(999)),
  is: z.enum(['dead', 'no-phantom', 'noisy', 'note']),
  note: saidText(200)
});
export type VenueSocket = z.infer<typeof SocketSchema>;

const metres = z.number().check(z.minimum(0), z.maximum(MAX_METRES));
/** A stage box, a wall panel or a patch bay: as many sockets, and how far its cable goes to the desk. */
const BoxSchema = z.strictObject({
  /** As it is called there; empty where there is but one. */
  name: saidText(40),
  sockets: z.int().check(z.minimum(1), z.maximum(999)),
  /** Length of its cable to the desk; null where nobody has measured. */
  metres: z.nullable(metres),
  /** Whether its inputs can give phantom power. */
  phantom: z.boolean(),
  /** Largest level that its inputs take at their least gain, dBu; left out where nobody has looked. */
  maxDbu: z.optional(z.number().check(z.minimum(-40), z.maximum(40))),
  /** What its pads take off, dB; 0 where it has none, left out where nobody has looked. */
  pad: z.optional(z.int().check(z.minimum(0), z.maximum(40))),
  /** Where it stands or hangs. */
  place: saidText(80)
});
export type VenueBox = z.infer<typeof BoxSchema>;
/** A way from one place of the house to another: a tie line with its sockets, or a distance that somebody has paced out. */
const RunSchema = z.strictObject({
  from: saidText(80).check(z.regex(/\S/, 'needs a place')),
  to: saidText(80).check(z.regex(/\S/, 'needs a place')),
  metres,
  /** Of a tie line, as it is written on its sockets; empty for a mere distance. */
  tie: saidText(40),
  ways: z.nullable(z.int().check(z.minimum(1), z.maximum(999)))
});
export type VenueRun = z.infer<typeof RunSchema>;

export const VenueSchema = z.strictObject({
  name,
  mainsHz: ROWS.policy.shape.mainsHz,
  room: z.nullable(ROWS.policy.shape.room.def.innerType),
  /** Its supplies as they were measured or believed when somebody was last there. */
  supplies: z.array(ROWS.supplies).check(z.maxLength(VENUE_LIMITS.supplies)),
  sockets: z.array(SocketSchema).check(z.maxLength(VENUE_LIMITS.sockets)),
  /** Left out of places that were written down before these were known. */
  boxes: z.optional(z.array(BoxSchema).check(z.maxLength(VENUE_LIMITS.boxes))),
  runs: z.optional(z.array(RunSchema).check(z.maxLength(VENUE_LIMITS.runs))),
  /** The house’s desk, as it is called, with what it has. */
  desk: z.optional(saidText(200)),
  /** Who may open a distribution board there. */
  electrician: saidText(200),
  note: saidText(VENUE_LIMITS.note)
});
export type Venue = z.infer<typeof VenueSchema>;

export const blankVenue = (called: string): Venue => ({
  ...{ name: called, mainsHz: 50, room: null, supplies: [], sockets: [], electrician: '', note: '' }
});
