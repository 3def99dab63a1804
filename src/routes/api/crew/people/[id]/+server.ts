import { server as says } from '$core/words/server';
import { RoleSchema } from '$lib/crew/wire';
import type { Role } from '$lib/crew/roles';
import { peopleOf, setRole } from '$lib/server/crew';
import { forgetName } from '$lib/server/forget';
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

/** Takes somebody out of the crew; from this moment on they see nothing of it. With `?forget` their name goes out of what was written down. */
export const DELETE: RequestHandler = async ({ params, url, locals }) => {
  const { crewId } = await locals.who();
  const id = idOf(params.id);
  const name = (await peopleOf(crewId)).find((p) => p.id === id)?.name;
  const answer = await become(crewId, id, null);
  if (url.searchParams.has('forget') && name) await forgetName(crewId, name, id);
  return answer;
};
