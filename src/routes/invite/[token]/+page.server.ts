import { signedIn } from '$lib/server/auth';
import { openInvite } from '$lib/server/crew';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, request }) => {
  const [invite, user] = await Promise.all([openInvite(params.token), signedIn(request.headers)]);
  return {
    token: params.token,
    invite: invite ? { crew: invite.crew, role: invite.role } : null,
    name: user?.name ?? null
  };
};
