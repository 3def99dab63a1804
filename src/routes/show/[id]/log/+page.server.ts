import { pageOf } from '$lib/server/show-log/book';
import { found, idOf } from '$lib/server/http';
import { placesFor } from '$lib/server/venues';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => {
  const { crewId } = await locals.who();
  const id = idOf(params.id);
  const [log, places] = await Promise.all([pageOf(crewId, { show: id }), placesFor(crewId, id)]);
  return { log, places: found(places) };
};
