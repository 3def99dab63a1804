import { found, idOf } from '$lib/server/http';
import { crewKit } from '$lib/server/kit';
import { getShow, lastEdits } from '$lib/server/shows';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ params, locals }) => {
  const id = idOf(params.id);
  const { crewId } = await locals.who();
  const [row, log, kit] = await Promise.all([getShow(crewId, id), lastEdits(crewId, id), crewKit(crewId)]);
  const { name, plan, revision } = found(row);
  return { id, name, plan, revision, log, crewKit: kit };
};
