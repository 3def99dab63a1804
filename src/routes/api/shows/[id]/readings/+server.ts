import { bodyOf, found, idOf } from '$lib/server/http';
import { photosOf } from '$lib/server/photos';
import { checkedOf, readingsOf, takeReadings } from '$lib/server/readings';
import { hasShow } from '$lib/server/shows';
import { ReadingsSchema } from '$lib/protocol/readings';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Readings and pictures; with `?left` how each line was left instead. */
export const GET: RequestHandler = async ({ params, locals, url }) => {
  const { crewId } = await locals.who();
  const id = idOf(params.id);
  found(await hasShow(crewId, id));
  if (url.searchParams.has('left')) return json({ checked: await checkedOf(crewId, id) });
  const [readings, photos] = await Promise.all([readingsOf(crewId, id), photosOf(crewId, id)]);
  return json({ readings, photos });
};

/** Takes readings in; those that were sent before do no harm. */
export const POST: RequestHandler = async ({ request, params, locals }) => {
  const { readings } = await bodyOf(request, ReadingsSchema);
  found(await takeReadings(await locals.who(), idOf(params.id), readings));
  return json({ taken: readings.map((r) => r.id) });
};
