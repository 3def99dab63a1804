import { atLeast } from '$lib/crew/roles';
import { originForOthers, originOf } from '$lib/server/origin';
import { listShows } from '$lib/server/glances';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, depends, request }) => {
  depends('app:shows');
  const { crewId, rank, user } = await locals.who();
  return {
    shows: await listShows(crewId),
    mayChange: atLeast(rank, 'engineer'),
    open: user === null,
    origin: originOf(request),
    originForOthers: originForOthers(request)
  };
};
