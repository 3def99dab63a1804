import { makeShare } from '$lib/server/crew';
import { found, idOf } from '$lib/server/http';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Makes a link by which anybody may look at this show. What it holds is told this once. */
export const POST: RequestHandler = async ({ params, locals }) => {
  const { crewId, personId } = await locals.who();
  return json({ token: found(await makeShare({ crewId, personId }, idOf(params.id))) }, { status: 201 });
};
