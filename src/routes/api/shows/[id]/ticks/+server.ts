import { bodyOf, found, idOf } from '$lib/server/http';
import { setTick, ticksOf } from '$lib/server/prints';
import { hasShow } from '$lib/server/shows';
import { TickSchema } from '$lib/protocol/shows';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Ticks a row of a list off, or takes the tick back. */
export const PUT: RequestHandler = async ({ request, params, locals }) => {
  const { key, on } = await bodyOf(request, TickSchema);
  found(await setTick(await locals.who(), idOf(params.id), key, on));
  return json({});
};

export const GET: RequestHandler = async ({ params, locals }) => {
  const { crewId } = await locals.who();
  const id = idOf(params.id);
  found(await hasShow(crewId, id));
  return json({ ticks: await ticksOf(crewId, id) });
};
