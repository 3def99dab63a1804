import { server as says } from '$core/words/server';
import { isItemId, kitHistory } from '$lib/server/kit';
import { error, json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** What became of one item, newest first. */
export const GET: RequestHandler = async ({ params, locals }) => {
  if (!isItemId(params.item)) error(404, says.thereIsNoSuchThingIn);
  return json({ history: await kitHistory((await locals.who()).crewId, params.item) });
};
