import { NameSchema } from '$lib/crew/wire';
import { renameCrew } from '$lib/server/crew';
import { bodyOf } from '$lib/server/http';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

export const PUT: RequestHandler = async ({ request, locals }) => {
  const { name } = await bodyOf(request, NameSchema);
  await renameCrew((await locals.who()).crewId, name);
  return json({ name });
};
