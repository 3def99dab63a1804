import type { Instrument, Player } from '$core/players/schema';
import type { Players } from '$lib/protocol/players';
import { documentsOf } from './documents';

/** Who plays what, as a crew knows it. */
export async function playersOf(crewId: string): Promise<Players> {
  const [instruments, players] = await Promise.all([
    documentsOf<Instrument>('instrument', crewId),
    documentsOf<Player>('player', crewId)
  ]);
  return {
    instruments: instruments.map(({ id, it }) => ({ id, instrument: it })),
    players: players.map(({ id, it }) => ({ id, player: it }))
  };
}
