import { streamOf } from '$lib/server/live';
import type { RequestHandler } from './$types';

/** Everything new of a crew: server-sent events. */
export const GET: RequestHandler = async ({ locals, request }) =>
  streamOf((await locals.who()).crewId, () => true, request.signal);
