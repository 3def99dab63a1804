import { found, idOf } from '$lib/server/http';
import { dropSet, listeningFor } from '$lib/server/listenings';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** What a phone is told of a set: nothing that tells which is which. */
export const GET: RequestHandler = async ({ params, locals }) =>
  json(found(await listeningFor((await locals.who()).crewId, idOf(params.id), idOf(params.listening))));

/** Takes it out, its sounds and answers with it. */
export const DELETE: RequestHandler = async ({ params, locals }) => {
  found(await dropSet((await locals.who()).crewId, idOf(params.id), idOf(params.listening)));
  return json({});
};
