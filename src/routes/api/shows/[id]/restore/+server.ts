import { found, idOf } from '$lib/server/http';
import { setDeleted } from '$lib/server/shows';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Brings a deleted show back. */
export const POST: RequestHandler = async ({ params, locals }) => {
  found(await setDeleted((await locals.who()).crewId, idOf(params.id), false));
  return json({});
};
