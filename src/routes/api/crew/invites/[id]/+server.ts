import { dropInvite } from '$lib/server/crew';
import { found, idOf } from '$lib/server/http';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Takes an invitation back. */
export const DELETE: RequestHandler = async ({ params, locals }) => {
  found(await dropInvite((await locals.who()).crewId, idOf(params.id)));
  return json({});
};
