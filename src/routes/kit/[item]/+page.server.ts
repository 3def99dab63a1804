import { server as says } from '$core/words/server';
import { atLeast } from '$lib/crew/roles';
import { crewKit, isItemId, kitHistory } from '$lib/server/kit';
import { picturesOf } from '$lib/server/pictures';
import { entriesOf } from '$lib/server/show-log/book';
import { error } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

/** Of what people logged of a thing, so many. */
const MOST_NOTES = 50;

export const load: PageServerLoad = async ({ params, locals }) => {
  const { crewId, rank } = await locals.who();
  const id = params.item;
  if (!isItemId(id)) error(404, says.thereIsNoSuchThingIn);
  const [kit, history, notes, pictures] = await Promise.all([
    crewKit(crewId),
    kitHistory(crewId, id),
    entriesOf(crewId, { unit: id, kind: 'note' }, MOST_NOTES),
    picturesOf(crewId, { of: 'unit', id })
  ]);
  if (!kit[id] && history.length === 0) error(404, says.thereIsNoSuchThingIn);
  return { id, kit, history, notes, pictures, crewId, mayChange: atLeast(rank, 'engineer') };
};
