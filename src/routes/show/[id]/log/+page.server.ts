import { entriesOf, PAGE } from '$lib/server/show-log/book';
import { idOf } from '$lib/server/http';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => {
  const { crewId } = await locals.who();
  const entries = await entriesOf(crewId, { show: idOf(params.id) }, PAGE + 1);
  return { log: { entries: entries.slice(0, PAGE), more: entries.length > PAGE } };
};
