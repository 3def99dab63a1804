import { idOf } from '$lib/server/http';
import { checkedOf, linesUp } from '$lib/server/readings';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => {
  const { crewId } = await locals.who();
  const id = idOf(params.id);
  const [live, checked] = await Promise.all([linesUp(crewId, id), checkedOf(crewId, id)]);
  return { live, checked };
};
