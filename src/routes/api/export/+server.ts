import { crewKit } from '$lib/server/kit';
import { photoOf, photosOf } from '$lib/server/photos';
import { readingsOf } from '$lib/server/readings';
import { getShow, listShows } from '$lib/server/shows';
import type { RequestHandler } from './$types';

/** Everything a crew owns as one open file: shows as they can be imported one by one, what was read off them, their pictures (as data URLs), and the kit. */
export const GET: RequestHandler = async ({ locals }) => {
  const { crewId } = await locals.who();
  const shows = await Promise.all(
    (await listShows(crewId)).map(async ({ id }) => {
      const row = (await getShow(crewId, id))!;
      return {
        kind: 'guanxi-show',
        name: row.name,
        plan: row.plan,
        readings: await readingsOf(crewId, id),
        photos: await picturesIn(crewId, id)
      };
    })
  );
  const file = { kind: 'guanxi-crew', version: 1, at: new Date().toISOString(), shows, kit: await crewKit(crewId) };
  return new Response(JSON.stringify(file, null, 2), {
    headers: { 'content-type': 'application/json', 'content-disposition': 'attachment; filename="guanxi-crew.json"' }
  });
};

async function picturesIn(crewId: string, showId: string) {
  return Promise.all(
    (await photosOf(crewId, showId)).map(async (of) => {
      const { type, bytes } = (await photoOf(crewId, showId, of.id))!;
      return { ...of, data: `data:${type};base64,${bytes.toString('base64')}` };
    })
  );
}
