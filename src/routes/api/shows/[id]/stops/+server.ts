import { StopSchema } from '$lib/protocol/stops';
import { bodyOf, found, idOf } from '$lib/server/http';
import { hasShow } from '$lib/server/shows';
import { callStop, openStops } from '$lib/server/stops';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Calls a stop for the whole crew. */
export const POST: RequestHandler = async ({ request, params, locals }) => {
  const called = await bodyOf(request, StopSchema);
  found(await callStop(await locals.who(), idOf(params.id), called));
  return json({}, { status: 201 });
};

export const GET: RequestHandler = async ({ params, locals }) => {
  const { crewId } = await locals.who();
  const id = idOf(params.id);
  found(await hasShow(crewId, id));
  return json({ stops: await openStops(crewId, id) });
};
