import { idOf } from '$lib/server/http';
import { linesUp } from '$lib/server/readings';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => {
  const { crewId } = await locals.who();
  return { live: await linesUp(crewId, idOf(params.id)) };
};
