import { listShows } from '$lib/server/shows';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, depends }) => {
  depends('app:shows');
  return { shows: await listShows((await locals.who()).crewId) };
};
