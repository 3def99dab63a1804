import { server as says } from '$core/words/server';
import { CREW_COOKIE } from '$lib/server/access';
import { signedIn } from '$lib/server/auth';
import { makeCrew } from '$lib/server/crew';
import { bodyOf } from '$lib/server/http';
import { keepCookie } from '$lib/server/cookies';
import { NameSchema } from '$lib/crew/wire';
import { error, json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Makes another crew, with whoever asks as its owner, and goes there. */
export const POST: RequestHandler = async ({ request, cookies }) => {
  const user = await signedIn(request.headers);
  if (!user) error(401, says.signInFirst);
  const { name } = await bodyOf(request, NameSchema);
  const id = await makeCrew(user.userId, user.name, name);
  keepCookie(cookies, CREW_COOKIE, id);
  return json({ id }, { status: 201 });
};
