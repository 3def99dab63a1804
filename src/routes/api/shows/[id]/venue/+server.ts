import { PlaySchema } from '$lib/protocol/venues';
import { bodyOf, found, idOf } from '$lib/server/http';
import { playAt, venueOfShow, venuesOf } from '$lib/server/venues';
import { hasShow } from '$lib/server/shows';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Where a show is played, and which places there are. */
export const GET: RequestHandler = async ({ params, locals }) => {
  const { crewId } = await locals.who();
  const id = idOf(params.id);
  found(await hasShow(crewId, id));
  const [here, venues] = await Promise.all([venueOfShow(crewId, id), venuesOf(crewId)]);
  return json({ here, venues });
};
export const PUT: RequestHandler = async ({ params, request, locals }) => {
  const { venue } = await bodyOf(request, PlaySchema);
  found(await playAt((await locals.who()).crewId, idOf(params.id), venue));
  return json({ taken: true });
};
