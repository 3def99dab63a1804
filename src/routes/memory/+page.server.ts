import { pageOf, peopleInLog } from '$lib/server/show-log/book';
import { venuesOf } from '$lib/server/venues';
import { showNames } from '$lib/server/shows';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
  const { crewId } = await locals.who();
  const [log, shows, venues, people] = await Promise.all([
    pageOf(crewId, {}),
    showNames(crewId),
    venuesOf(crewId),
    peopleInLog(crewId)
  ]);
  return {
    log,
    shows,
    venues: venues.map((v) => ({ id: v.id, name: v.venue.name })),
    people
  };
};
