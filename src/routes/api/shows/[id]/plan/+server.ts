import { fileHeads, found, idOf } from '$lib/server/http';
import { getShow, withoutKit } from '$lib/server/shows';
import type { RequestHandler } from './$types';

/** The show as an open file; docs/plan-format.md describes it. */
export const GET: RequestHandler = async ({ params, locals }) => {
  const { crewId, rank } = await locals.who();
  const { name, plan: whole } = found(await getShow(crewId, idOf(params.id)));
  const plan = rank === 'guest' ? withoutKit(whole) : whole;
  return new Response(JSON.stringify({ kind: 'guanxi-show', name, plan }, null, 2), {
    headers: fileHeads(name, 'json', 'application/json')
  });
};
