import { server as says } from '$core/words/server';
import { RoleSchema } from '$lib/crew/wire';
import type { Role } from '$lib/crew/roles';
import { setRole } from '$lib/server/crew';
import { askAgain } from '$lib/server/live';
import { bodyOf, idOf } from '$lib/server/http';
import { error, json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

async function become(crewId: string, id: string, role: Role | null): Promise<Response> {
  const done = await setRole(crewId, id, role);
  if (done === 'gone') error(404, says.thereIsNoSuchPersonIn);
  if (done === 'last-owner') error(409, says.aCrewNeedsAnOwnerMake);
  await askAgain(crewId);
  return json({});
}

export const PUT: RequestHandler = async ({ params, request, locals }) =>
  become((await locals.who()).crewId, idOf(params.id), (await bodyOf(request, RoleSchema)).role);

/** Takes somebody out of the crew; from this moment on they see nothing of it. */
export const DELETE: RequestHandler = async ({ params, locals }) =>
  become((await locals.who()).crewId, idOf(params.id), null);
