import { withoutKit } from '$lib/server/shows';
import { idOf } from '$lib/server/http';
import { lastPrint, ticksOf } from '$lib/server/prints';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => {
  const id = idOf(params.id);
  const { crewId, rank } = await locals.who();
  const [found, ticks] = await Promise.all([lastPrint(crewId, id), ticksOf(crewId, id)]);
  const printed = found && rank === 'guest' ? { ...found, plan: withoutKit(found.plan), kit: null } : found;
  return { printed, ticks };
};
