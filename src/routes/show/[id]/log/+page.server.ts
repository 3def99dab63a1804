import { pageOf } from '$lib/server/show-log/book';
import { idOf } from '$lib/server/http';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => {
  const { crewId } = await locals.who();
  return { log: await pageOf(crewId, { show: idOf(params.id) }) };
};
