import { idOf } from '$lib/server/http';
import { readingsOf } from '$lib/server/readings';
import type { PageServerLoad } from './$types';

/** A line that was finished with in the check this long ago is still up, milliseconds. */
const UP = 12 * 60 * 60_000;

export const load: PageServerLoad = async ({ params, locals }) => {
  const { crewId } = await locals.who();
  const since = new Date(Date.now() - UP).toISOString();
  const readings = await readingsOf(crewId, idOf(params.id));
  const live = readings.filter((r) => r.done && !r.practice && r.at > since).map((r) => r.lineId);
  return { live: [...new Set(live)] };
};
