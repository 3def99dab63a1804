import { dropShare } from '$lib/server/crew';
import { found, idOf } from '$lib/server/http';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Takes a link to a show back: whoever came by it sees nothing any more. */
export const DELETE: RequestHandler = async ({ params, locals }) => {
  found(await dropShare((await locals.who()).crewId, idOf(params.id)));
  return json({});
};
