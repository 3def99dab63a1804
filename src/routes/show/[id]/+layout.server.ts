import { atLeast } from '$lib/crew/roles';
import { found, idOf } from '$lib/server/http';
import { crewKit } from '$lib/server/kit';
import { getShow, lastEdits, withoutKit } from '$lib/server/shows';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ params, locals }) => {
  const id = idOf(params.id);
  const who = await locals.who();
  const guest = who.rank === 'guest';
  const [row, log, kit] = await Promise.all([
    getShow(who.crewId, id),
    lastEdits(who, id),
    // What a crew owns is not part of a show that strangers look at.
    guest ? {} : crewKit(who.crewId)
  ]);
  const { name, plan, revision } = found(row);
  return {
    id,
    name,
    plan: guest ? withoutKit(plan) : plan,
    revision,
    log,
    crewKit: kit,
    // Whose it is; nothing of the crew for who has but a link.
    crewId: guest ? '' : who.crewId,
    guest,
    mayChange: atLeast(who.rank, 'engineer')
  };
};
