import { bodyOf, found, idOf } from '$lib/server/http';
import { setTick } from '$lib/server/paper';
import { TickSchema } from '$lib/show/wire';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Ticks a row of a list off, or takes the tick back. */
export const PUT: RequestHandler = async ({ request, params, locals }) => {
  const { key, on } = await bodyOf(request, TickSchema);
  found(await setTick(await locals.who(), idOf(params.id), key, on));
  return json({});
};
