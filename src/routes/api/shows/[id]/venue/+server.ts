import { PlaySchema } from '$lib/protocol/venues';
import { bodyOf, found, idOf } from '$lib/server/http';
import { placesFor, playAt } from '$lib/server/venues';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Where a show is played, and which places there are. */
export const GET: RequestHandler = async ({ params, locals }) =>
  json(found(await placesFor((await locals.who()).crewId, idOf(params.id))));
export const PUT: RequestHandler = async ({ params, request, locals }) => {
  const at = await bodyOf(request, PlaySchema);
  found(await playAt((await locals.who()).crewId, idOf(params.id), at));
  return json({ taken: true });
};
