import { idOf } from '$lib/server/http';
import { photosOf } from '$lib/server/photos';
import { readingsOf } from '$lib/server/readings';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => {
  const id = idOf(params.id);
  const { crewId } = await locals.who();
  const [readings, photos] = await Promise.all([readingsOf(crewId, id), photosOf(crewId, id)]);
  return { readings, photos };
};
