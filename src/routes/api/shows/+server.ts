import { blankPlan } from '$core/plan/blank';
import { bodyOf } from '$lib/server/http';
import { createShow } from '$lib/server/shows';
import { SHOW_NAME } from '$lib/protocol/shows';
import { json } from '@sveltejs/kit';
import * as z from '$core/text/zod';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = async ({ request, locals }) => {
  const { name } = await bodyOf(request, z.strictObject({ name: SHOW_NAME }));
  return json({ id: await createShow((await locals.who()).crewId, name, blankPlan()) }, { status: 201 });
};
