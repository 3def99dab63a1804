import { crewKit } from '$lib/server/kit';
import { readingsOf } from '$lib/server/readings';
import { getShow, listShows } from '$lib/server/shows';
import type { RequestHandler } from './$types';

/** Everything a crew owns as one open file: shows as they can be imported one by one, what was read off them, and the kit. */
export const GET: RequestHandler = async ({ locals }) => {
  const { crewId } = await locals.who();
  const shows = await Promise.all(
    (await listShows(crewId)).map(async ({ id }) => {
      const row = (await getShow(crewId, id))!;
      return { kind: 'guanxi-show', name: row.name, plan: row.plan, readings: await readingsOf(crewId, id) };
    })
  );
  const file = { kind: 'guanxi-crew', version: 1, at: new Date().toISOString(), shows, kit: await crewKit(crewId) };
  return new Response(JSON.stringify(file, null, 2), {
    headers: { 'content-type': 'application/json', 'content-disposition': 'attachment; filename="guanxi-crew.json"' }
  });
};
