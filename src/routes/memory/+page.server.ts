import { entriesOf, PAGE, peopleInLog } from '$lib/server/show-log/book';
import { venuesOf } from '$lib/server/venues';
import { showNames } from '$lib/server/shows';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
  const { crewId } = await locals.who();
  const [entries, shows, venues, people] = await Promise.all([
    entriesOf(crewId, {}, PAGE + 1),
    showNames(crewId),
    venuesOf(crewId),
    peopleInLog(crewId)
  ]);
  return {
    log: { entries: entries.slice(0, PAGE), more: entries.length > PAGE },
    shows,
    venues: venues.map((v) => ({ id: v.id, name: v.venue.name })),
    people
  };
};
