import { entriesOf, PAGE, peopleInLog } from '$lib/server/show-log/book';
import { showNames } from '$lib/server/shows';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
  const { crewId } = await locals.who();
  const [entries, shows, people] = await Promise.all([
    entriesOf(crewId, {}, PAGE + 1),
    showNames(crewId),
    peopleInLog(crewId)
  ]);
  return { log: { entries: entries.slice(0, PAGE), more: entries.length > PAGE }, shows, people };
};
