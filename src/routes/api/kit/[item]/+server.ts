import { server as says } from '$core/words/server';
import { kitHistory } from '$lib/server/kit';
import { error, json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** What became of one item, newest first. */
export const GET: RequestHandler = async ({ params, locals }) => {
  if (!/^[a-z0-9-]{1,40}$/.test(params.item)) error(404, says.thereIsNoSuchThingIn);
  return json({ history: await kitHistory((await locals.who()).crewId, params.item) });
};
