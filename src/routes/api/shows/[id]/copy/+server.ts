import { cutText } from '$core/text/well-formed';
import { server as says } from '$core/words/server';
import { found, idOf } from '$lib/server/http';
import { createShow, getShow } from '$lib/server/shows';
import { copyReadings } from '$lib/server/readings';
import { copyTraces } from '$lib/server/traces';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = async ({ params, locals }) => {
  const who = await locals.who();
  const { crewId } = who;
  const from = idOf(params.id);
  const { name, plan, venueId, otherVenueId } = found(await getShow(crewId, from));
  const copy = says.copy(cutText(name, 72));
  const id = await createShow(crewId, copy, plan, { venueId, otherVenueId });
  await Promise.all([copyTraces(crewId, from, id), copyReadings(who, from, id, name)]);
  return json({ id, name: copy }, { status: 201 });
};
