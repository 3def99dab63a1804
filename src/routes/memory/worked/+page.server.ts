import { workedOf } from '$lib/server/show-log/worked';
import { venuesOf } from '$lib/server/venues';
import { WorkedAskSchema } from '$lib/protocol/log';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
  const { crewId } = await locals.who();
  // What is no question is none: everything is shown.
  const ask = WorkedAskSchema.safeParse(Object.fromEntries(url.searchParams)).data ?? {};
  const [worked, venues] = await Promise.all([workedOf(crewId, ask), venuesOf(crewId)]);
  return { worked, ask, venues: venues.map((v) => ({ id: v.id, name: v.venue.name })) };
};
