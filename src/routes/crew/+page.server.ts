import { crewName, crewsOf, devicesOf, invitesOf, peopleOf, sharesOf } from '$lib/server/crew';
import { originForOthers, originOf } from '$lib/server/origin';
import { atLeast } from '$lib/crew/roles';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, request, depends }) => {
  depends('app:crew');
  const { crewId, personId, rank, user } = await locals.who();
  const owner = atLeast(rank, 'owner');
  const [name, people, invites, shares, crews, devices] = await Promise.all([
    crewName(crewId),
    peopleOf(crewId),
    owner ? invitesOf(crewId) : [],
    atLeast(rank, 'engineer') ? sharesOf(crewId) : [],
    user ? crewsOf(user.userId) : [],
    user ? devicesOf(user.userId, user.sessionId) : []
  ]);
  return {
    crew: { id: crewId, name },
    me: { id: personId, rank, name: user?.name ?? null },
    people: people.map((p) => ({ ...p, email: owner || p.id === personId ? p.email : null })),
    invites,
    shares,
    devices,
    crews: crews.map((c) => ({ id: c.crewId, name: c.name })),
    origin: originOf(request),
    /** Null when no other device can reach this server. */
    originForOthers: originForOthers(request)
  };
};
