import type { VenueSocket } from '../venue/schema';

const STATES: Readonly<Record<VenueSocket['is'], string>> = {
  dead: 'dead',
  'no-phantom': 'no phantom',
  noisy: 'noisy',
  note: ''
};

/** `A 7`, `7`: a socket by its box and number. */
export const socketName = ({ box, socket }: Pick<VenueSocket, 'box' | 'socket'>): string =>
  box ? `${box} ${socket}` : String(socket);
/** `A 7 dead, “wired the wrong way”`. */
export const socketText = (s: VenueSocket): string =>
  [[socketName(s), STATES[s.is]].filter(Boolean).join(' '), s.note ? `“${s.note}”` : ''].filter(Boolean).join(', ');
