import { idOf } from '$lib/server/http';
import { lastPrint, ticksOf } from '$lib/server/paper';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => {
  const id = idOf(params.id);
  const { crewId } = await locals.who();
  const [printed, ticks] = await Promise.all([lastPrint(crewId, id), ticksOf(crewId, id)]);
  return { printed, ticks };
};
