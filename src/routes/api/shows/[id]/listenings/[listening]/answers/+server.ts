import { AnswerSchema } from '$lib/protocol/listenings';
import { bodyOf, found, idOf } from '$lib/server/http';
import { answersOf, takeAnswer } from '$lib/server/listenings';
import { hasShow } from '$lib/server/shows';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** What everybody liked: for who may know which is which. */
export const GET: RequestHandler = async ({ params, locals }) => {
  const { crewId } = await locals.who();
  const [show, listening] = [idOf(params.id), idOf(params.listening)];
  found(await hasShow(crewId, show));
  // A set that was taken out while somebody still looked at it has none any more.
  return json({ answers: (await answersOf(crewId, show, listening)) ?? [] });
};

/** What somebody liked; a player with a link to the show answers as well. */
export const POST: RequestHandler = async ({ request, params, locals }) => {
  const answer = await bodyOf(request, AnswerSchema);
  found(await takeAnswer((await locals.who()).crewId, idOf(params.id), idOf(params.listening), answer));
  return json({}, { status: 201 });
};
