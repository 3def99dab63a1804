import { SwitchSchema } from '$lib/crew/wire';
import { CREW_COOKIE } from '$lib/server/access';
import { keepCookie } from '$lib/server/cookies';
import { crewsOf } from '$lib/server/crew';
import { bodyOf, found } from '$lib/server/http';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Goes over to another of one's crews. */
export const POST: RequestHandler = async ({ request, locals, cookies }) => {
  const { crewId } = await bodyOf(request, SwitchSchema);
  const { user } = await locals.who();
  found(user && (await crewsOf(user.userId)).some((c) => c.crewId === crewId));
  keepCookie(cookies, CREW_COOKIE, crewId);
  return json({});
};
