import { server as says } from '$core/words/server';
import { SHARE_COOKIE } from '$lib/server/access';
import { keepCookie } from '$lib/server/cookies';
import { sharedShow } from '$lib/server/crew';
import { error, redirect } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** A link to one show: leaves with the browser what it needs to look at it, and goes there. */
export const GET: RequestHandler = async ({ params, cookies }) => {
  const shared = await sharedShow(params.token);
  if (!shared) error(410, says.thisLinkHasBeenTakenBack);
  keepCookie(cookies, SHARE_COOKIE, params.token);
  redirect(303, `/show/${shared.showId}`);
};
