import { atLeast } from '$lib/crew/roles';
import { venuesOf } from '$lib/server/venues';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
  const { crewId, rank } = await locals.who();
  return { venues: await venuesOf(crewId), crewId, mayChange: atLeast(rank, 'engineer') };
};
