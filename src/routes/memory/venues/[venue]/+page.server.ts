import { atLeast } from '$lib/crew/roles';
import { found, idOf } from '$lib/server/http';
import { entriesOf } from '$lib/server/show-log/book';
import { picturesOf } from '$lib/server/pictures';
import { showsAt, venueOf, venuesOf } from '$lib/server/venues';
import type { PageServerLoad } from './$types';

/** Of what was traced at a place, so many. */
const MOST_TRACES = 20;

export const load: PageServerLoad = async ({ params, locals }) => {
  const { crewId, rank } = await locals.who();
  const { id, venue } = found(await venueOf(crewId, idOf(params.venue)));
  const [venues, pictures, shows, traces] = await Promise.all([
    venuesOf(crewId),
    picturesOf(crewId, { of: 'venue', id }),
    showsAt(crewId, id),
    entriesOf(crewId, { kind: 'trace', venue: id }, MOST_TRACES)
  ]);
  return { id, name: venue.name, venues, pictures, shows, traces, crewId, mayChange: atLeast(rank, 'engineer') };
};
