import { RoleSchema } from '$lib/crew/wire';
import { makeInvite } from '$lib/server/crew';
import { bodyOf } from '$lib/server/http';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Makes an invitation. What its link holds is told this once. */
export const POST: RequestHandler = async ({ request, locals }) => {
  const { role } = await bodyOf(request, RoleSchema);
  const { crewId, personId } = await locals.who();
  return json({ token: await makeInvite({ crewId, personId }, role) }, { status: 201 });
};
