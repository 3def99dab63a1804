import { idOf } from '$lib/server/http';
import { earlyReports } from '$lib/server/early-reports';
import { checkedOf, linesUp } from '$lib/server/readings';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals, parent }) => {
  const { crewId } = await locals.who();
  const id = idOf(params.id);
  const judged = parent().then(async ({ revision, plan }) => ({
    revision,
    rows: await earlyReports(id, revision, plan)
  }));
  const [live, checked, early] = await Promise.all([linesUp(crewId, id), checkedOf(crewId, id), judged]);
  return { live, checked, early };
};
