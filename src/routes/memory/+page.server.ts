import * as z from '$core/text/zod';
import { labelKey } from '$core/kit/units';
import { unitOf } from '$core/kit/schema';
import { kitCalled } from '$core/words/kit-life';
import { LogAskSchema } from '$lib/protocol/log';
import { crewKit } from '$lib/server/kit';
import { playersOf } from '$lib/server/players';
import { pageOf, peopleInLog } from '$lib/server/show-log/book';
import { venuesOf } from '$lib/server/venues';
import { showNames } from '$lib/server/shows';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
  const { crewId } = await locals.who();
  // What is no question is none: everything is shown.
  const ask = z.omit(LogAskSchema, { before: true }).safeParse(Object.fromEntries(url.searchParams)).data ?? {};
  const [log, shows, venues, people, kit, players] = await Promise.all([
    pageOf(crewId, ask),
    showNames(crewId),
    venuesOf(crewId),
    peopleInLog(crewId),
    crewKit(crewId),
    playersOf(crewId)
  ]);
  return {
    log,
    ask,
    shows,
    venues: venues.map((v) => ({ id: v.id, name: v.venue.name })),
    units: Object.entries(kit)
      .filter(([, item]) => unitOf(item))
      .map(([id, item]) => ({ id, name: kitCalled(item) }))
      .sort((a, b) => labelKey(a.name).localeCompare(labelKey(b.name), 'en', { numeric: true })),
    instruments: [...new Set(players.instruments.map(({ instrument }) => instrument.name))],
    people
  };
};
