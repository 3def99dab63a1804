import { cutText } from '$core/text/well-formed';
import { server as says } from '$core/words/server';
import { found, idOf } from '$lib/server/http';
import { createShow, getShow } from '$lib/server/shows';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = async ({ params, locals }) => {
  const { name, plan } = found(await getShow((await locals.who()).crewId, idOf(params.id)));
  const copy = says.copy(cutText(name, 72));
  return json({ id: await createShow((await locals.who()).crewId, copy, plan), name: copy }, { status: 201 });
};
