import { bodyOf, found, idOf } from '$lib/server/http';
import { withoutKit, getShow, renameShow, setDeleted } from '$lib/server/shows';
import { SHOW_NAME } from '$lib/protocol/shows';
import { json } from '@sveltejs/kit';
import * as z from '$core/text/zod';
import type { RequestHandler } from './$types';

/** Plan and revision, to catch up with what others did. */
export const GET: RequestHandler = async ({ params, locals }) => {
  const { crewId, rank } = await locals.who();
  const { name, plan, revision } = found(await getShow(crewId, idOf(params.id)));
  return json({ name, plan: rank === 'guest' ? withoutKit(plan) : plan, revision });
};

export const PATCH: RequestHandler = async ({ params, request, locals }) => {
  const { name } = await bodyOf(request, z.strictObject({ name: SHOW_NAME }));
  found(await renameShow((await locals.who()).crewId, idOf(params.id), name));
  return json({ name });
};

export const DELETE: RequestHandler = async ({ params, locals }) => {
  found(await setDeleted((await locals.who()).crewId, idOf(params.id), true));
  return json({});
};
