import { atLeast } from '$lib/crew/roles';
import { found, idOf } from '$lib/server/http';
import { entriesOf } from '$lib/server/show-log/book';
import { showsAt, venueOf } from '$lib/server/venues';
import type { PageServerLoad } from './$types';

/** Of what was traced at a place, so many. */
const MOST_TRACES = 20;

export const load: PageServerLoad = async ({ params, locals }) => {
  const { crewId, rank } = await locals.who();
  const { id, venue } = found(await venueOf(crewId, idOf(params.venue)));
  const [shows, traces] = await Promise.all([
    showsAt(crewId, id),
    entriesOf(crewId, { kind: 'trace', venue: id }, MOST_TRACES)
  ]);
  return { id, venue, shows, traces, mayChange: atLeast(rank, 'engineer') };
};
