import { server as says } from '$core/words/server';
import { TokenSchema } from '$lib/crew/wire';
import { CREW_COOKIE } from '$lib/server/access';
import { signedIn } from '$lib/server/auth';
import { keepCookie } from '$lib/server/cookies';
import { acceptInvite } from '$lib/server/crew';
import { bodyOf } from '$lib/server/http';
import { error, json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Joins the crew of an invitation with the account that is signed in. */
export const POST: RequestHandler = async ({ request, cookies }) => {
  const { token } = await bodyOf(request, TokenSchema);
  const user = await signedIn(request.headers);
  if (!user) error(401, says.signInFirst);
  const crewId = await acceptInvite(user.userId, user.name, token);
  if (!crewId) error(410, says.thisInvitationHasBeenUsedTaken);
  keepCookie(cookies, CREW_COOKIE, crewId);
  return json({});
};
