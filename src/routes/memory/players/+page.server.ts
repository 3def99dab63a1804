import { atLeast } from '$lib/crew/roles';
import { playersOf } from '$lib/server/players';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
  const { crewId, rank } = await locals.who();
  return { players: await playersOf(crewId), crewId, mayChange: atLeast(rank, 'engineer') };
};
