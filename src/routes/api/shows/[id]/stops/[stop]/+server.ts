import { ClearSchema } from '$lib/protocol/stops';
import { bodyOf, found, idOf } from '$lib/server/http';
import { clearStop } from '$lib/server/stops';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Clears a stop, by a person with a name. */
export const PUT: RequestHandler = async ({ request, params, locals }) => {
  const cleared = await bodyOf(request, ClearSchema);
  found(await clearStop(await locals.who(), idOf(params.id), idOf(params.stop), cleared));
  return json({});
};
