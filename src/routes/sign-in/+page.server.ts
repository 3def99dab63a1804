import { hasAccounts } from '$lib/server/crew';
import { signedIn } from '$lib/server/auth';
import { redirect } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

/** Where to go afterwards: a page of our own, never an address elsewhere. */
const ownPath = (to: string | null): string => (to && /^\/(?![/\\])/.test(to) ? to : '/');

export const load: PageServerLoad = async ({ url, locals, request }) => {
  const to = ownPath(url.searchParams.get('to'));
  if (await locals.maybe()) redirect(303, to);
  const user = await signedIn(request.headers);
  return { to, name: user?.name ?? null, accounts: await hasAccounts() };
};
