import { atLeast } from '$lib/crew/roles';
import { idOf } from '$lib/server/http';
import { playersOf } from '$lib/server/players';
import { workedOf } from '$lib/server/show-log/worked';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => {
  const id = idOf(params.instrument);
  const { crewId, rank } = await locals.who();
  const [players, worked] = await Promise.all([playersOf(crewId), workedOf(crewId, { instrument: id })]);
  return { id, players, worked, crewId, mayChange: atLeast(rank, 'engineer') };
};
