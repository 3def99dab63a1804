// Venue: what a crew knows of a place where it plays, and what of it goes into a show. Knows plans; computes nothing electrical.
import * as z from 'zod';
import { MAX_METRES } from '../gear/cables';
import { ROWS } from '../plan/schema';
import { saidText } from '../text/schema';

export const VENUE_LIMITS = { name: 80, note: 2000, sockets: 400, supplies: 50, boxes: 40, runs: 200 } as const;

const name = saidText(VENUE_LIMITS.name).regex(/\S/, 'needs a name');

/** A socket of a stage box or a tie line of which there is something to know. */
const SocketSchema = z.strictObject({
  /** The stage box, as it is called there; empty where there is but one. */
  box: saidText(40),
  socket: z.number().int().min(1).max(999),
  is: z.enum(['dead', 'no-phantom', 'noisy', 'note']),
  note: saidText(200)
});
export type VenueSocket = z.infer<typeof SocketSchema>;

const metres = z.number().min(0).max(MAX_METRES);
/** A stage box, a wall panel or a patch bay: as many sockets, and how far its cable goes to the desk. */
const BoxSchema = z.strictObject({
  /** As it is called there; empty where there is but one. */
  name: saidText(40),
  sockets: z.number().int().min(1).max(999),
  /** Length of its cable to the desk; null where nobody has measured. */
  metres: metres.nullable(),
  /** Whether its inputs can give phantom power. */
  phantom: z.boolean(),
  /** Largest level that its inputs take at their least gain, dBu; left out where nobody has looked. */
  maxDbu: z.number().min(-40).max(40).optional(),
  /** What its pads take off, dB; 0 where it has none, left out where nobody has looked. */
  pad: z.number().int().min(0).max(40).optional(),
  /** Where it stands or hangs. */
  place: saidText(80)
});
export type VenueBox = z.infer<typeof BoxSchema>;
/** A way from one place of the house to another: a tie line with its sockets, or a distance that somebody has paced out. */
const RunSchema = z.strictObject({
  from: saidText(80).regex(/\S/, 'needs a place'),
  to: saidText(80).regex(/\S/, 'needs a place'),
  metres,
  /** Of a tie line, as it is written on its sockets; empty for a mere distance. */
  tie: saidText(40),
  ways: z.number().int().min(1).max(999).nullable()
});
export type VenueRun = z.infer<typeof RunSchema>;

export const VenueSchema = z.strictObject({
  name,
  mainsHz: ROWS.policy.shape.mainsHz,
  room: ROWS.policy.shape.room.unwrap().nullable(),
  /** Its supplies as they were measured or believed when somebody was last there. */
  supplies: z.array(ROWS.supplies).max(VENUE_LIMITS.supplies),
  sockets: z.array(SocketSchema).max(VENUE_LIMITS.sockets),
  /** Left out of places that were written down before these were known. */
  boxes: z.array(BoxSchema).max(VENUE_LIMITS.boxes).optional(),
  runs: z.array(RunSchema).max(VENUE_LIMITS.runs).optional(),
  /** The house’s desk, as it is called, with what it has. */
  desk: saidText(200).optional(),
  /** Who may open a distribution board there. */
  electrician: saidText(200),
  note: saidText(VENUE_LIMITS.note)
});
export type Venue = z.infer<typeof VenueSchema>;

export const blankVenue = (called: string): Venue => ({
  ...{ name: called, mainsHz: 50, room: null, supplies: [], sockets: [], electrician: '', note: '' }
});
