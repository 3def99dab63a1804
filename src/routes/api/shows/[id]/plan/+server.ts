import { found, idOf } from '$lib/server/http';
import { getShow, withoutKit } from '$lib/server/shows';
import type { RequestHandler } from './$types';

/** The show as an open file; docs/plan-format.md describes it. */
export const GET: RequestHandler = async ({ params, locals }) => {
  const { crewId, rank } = await locals.who();
  const { name, plan: whole } = found(await getShow(crewId, idOf(params.id)));
  const plan = rank === 'guest' ? withoutKit(whole) : whole;
  const file = name.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase();
  return new Response(JSON.stringify({ kind: 'guanxi-show', name, plan }, null, 2), {
    headers: {
      'content-type': 'application/json',
      'content-disposition': `attachment; filename*=UTF-8''${encodeURIComponent(file)}.json`
    }
  });
};
