import { server as says } from '$core/words/server';
import { found, idOf } from '$lib/server/http';
import { planOf } from '$lib/server/show-log/earlier';
import { error, json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** A show as it was at a revision. */
export const GET: RequestHandler = async ({ params, locals }) => {
  const { crewId } = await locals.who();
  if (!/^\d{1,9}$/.test(params.revision)) error(400, says.aWholeNumberIsWanted('revision'));
  const plan = found(await planOf(crewId, idOf(params.id), Number(params.revision)));
  if (plan === 'too-long-ago') error(410, says.tooManyChangesSince);
  return json({ plan });
};
