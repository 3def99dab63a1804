import { idOf } from '$lib/server/http';
import { photosOf } from '$lib/server/photos';
import { readingsOf } from '$lib/server/readings';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => {
  const id = idOf(params.id);
  const { crewId, rank } = await locals.who();
  const [readings, photos] = await Promise.all([readingsOf(crewId, id), photosOf(crewId, id)]);
  // Whose the kit is, for the unit that turns out to be faulty; nothing of it for who has but a link.
  return { readings, photos, crewId: rank === 'guest' ? '' : crewId };
};
