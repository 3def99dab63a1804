import { streamOf } from '$lib/server/live';
import type { RequestHandler } from './$types';

/** Everything new of a crew: server-sent events. */
export const GET: RequestHandler = async ({ locals, request }) => {
  const { crewId } = await locals.who();
  const still = async (): Promise<boolean> => (await locals.again())?.crewId === crewId;
  return streamOf(crewId, () => true, still, request.signal);
};
