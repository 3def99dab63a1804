import { atLeast } from '$lib/crew/roles';
import { found, idOf } from '$lib/server/http';
import { picturesOf } from '$lib/server/pictures';
import { playersOf } from '$lib/server/players';
import { workedOf } from '$lib/server/show-log/worked';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => {
  const id = idOf(params.instrument);
  const { crewId, rank } = await locals.who();
  const [players, worked, pictures] = await Promise.all([
    playersOf(crewId),
    workedOf(crewId, { instrument: id }),
    picturesOf(crewId, { of: 'instrument', id })
  ]);
  // One that was taken out stands as long as something is remembered of it.
  found(players.instruments.some((i) => i.id === id) || worked.length > 0);
  return { id, players, worked, pictures, crewId, mayChange: atLeast(rank, 'engineer') };
};
