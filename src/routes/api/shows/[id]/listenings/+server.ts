import { server as says } from '$core/words/server';
import { ListeningSchema } from '$lib/protocol/listenings';
import { bodyOf, found, idOf } from '$lib/server/http';
import { keepSet, listeningsOf } from '$lib/server/listenings';
import { hasShow } from '$lib/server/shows';
import { error, json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Sets of a show, with what stands under no letter: for who may know. */
export const GET: RequestHandler = async ({ params, locals }) => {
  const { crewId } = await locals.who();
  const id = idOf(params.id);
  found(await hasShow(crewId, id));
  return json({ listenings: await listeningsOf(crewId, id) });
};

/** Keeps a set for several people to listen to; its sounds follow. */
export const POST: RequestHandler = async ({ request, params, locals }) => {
  const { id, set } = await bodyOf(request, ListeningSchema);
  const kept = found(await keepSet(await locals.who(), idOf(params.id), id, set));
  if (kept !== true) error(400, says.tooManyOfThem(kept.tooMany));
  return json({}, { status: 201 });
};
