import { found, idOf } from '$lib/server/http';
import { getShow, lastEdits } from '$lib/server/shows';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => {
  const id = idOf(params.id);
  const [row, log] = await Promise.all([
    getShow((await locals.who()).crewId, id),
    lastEdits((await locals.who()).crewId, id)
  ]);
  const { name, plan, revision } = found(row);
  return { id, name, plan, revision, log };
};
