// Venue: what a crew knows of a place where it plays, and what of it goes into a show. Knows plans; computes nothing electrical.
import * as z from 'zod';
import { ROWS } from '../plan/schema';
import { saidText } from '../text/schema';

export const VENUE_LIMITS = { name: 80, note: 2000, sockets: 400, supplies: 50 } as const;

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

export const VenueSchema = z.strictObject({
  name,
  mainsHz: ROWS.policy.shape.mainsHz,
  room: ROWS.policy.shape.room.unwrap().nullable(),
  /** Its supplies as they were measured or believed when somebody was last there. */
  supplies: z.array(ROWS.supplies).max(VENUE_LIMITS.supplies),
  sockets: z.array(SocketSchema).max(VENUE_LIMITS.sockets),
  /** Who may open a distribution board there. */
  electrician: saidText(200),
  note: saidText(VENUE_LIMITS.note)
});
export type Venue = z.infer<typeof VenueSchema>;

export const blankVenue = (called: string): Venue => ({
  ...{ name: called, mainsHz: 50, room: null, supplies: [], sockets: [], electrician: '', note: '' }
});
