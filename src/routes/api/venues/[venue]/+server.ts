import { server as says } from '$core/words/server';
import { VenueChangeSchema } from '$lib/protocol/venues';
import { bodyOf, idOf } from '$lib/server/http';
import { putVenue } from '$lib/server/venues';
import { error, json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Writes a place down, or changes it; 409 with the place as it is where somebody else has changed it. */
export const PUT: RequestHandler = async ({ request, params, locals }) => {
  const { from, to } = await bodyOf(request, VenueChangeSchema);
  const { crewId } = await locals.who();
  const answer = await putVenue(crewId, idOf(params.venue), from, to);
  if (answer.ok) return json({ taken: true });
  if ('tooMany' in answer) error(400, says.tooManyVenues(answer.tooMany));
  return json({ message: says.somebodyChangedThePlace, venue: answer.now }, { status: 409 });
};
