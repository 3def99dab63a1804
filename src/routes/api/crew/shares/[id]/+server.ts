import { dropShare } from '$lib/server/crew';
import { askAgain } from '$lib/server/live';
import { found, idOf } from '$lib/server/http';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Takes a link to a show back: whoever came by it sees nothing any more. */
export const DELETE: RequestHandler = async ({ params, locals }) => {
  const { crewId } = await locals.who();
  found(await dropShare(crewId, idOf(params.id)));
  await askAgain(crewId);
  return json({});
};
