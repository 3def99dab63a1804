import { crewKit } from '$lib/server/kit';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
  const { crewId } = await locals.who();
  return { kit: await crewKit(crewId), crewId };
};
