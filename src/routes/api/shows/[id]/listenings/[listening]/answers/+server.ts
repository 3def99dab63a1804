import { AnswerSchema } from '$lib/protocol/listenings';
import { bodyOf, found, idOf } from '$lib/server/http';
import { answersOf, takeAnswer } from '$lib/server/listenings';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** What everybody liked: for who may know which is which. */
export const GET: RequestHandler = async ({ params, locals }) =>
  json({ answers: found(await answersOf((await locals.who()).crewId, idOf(params.id), idOf(params.listening))) });

/** What somebody liked; a player with a link to the show answers as well. */
export const POST: RequestHandler = async ({ request, params, locals }) => {
  const answer = await bodyOf(request, AnswerSchema);
  found(await takeAnswer((await locals.who()).crewId, idOf(params.id), idOf(params.listening), answer));
  return json({}, { status: 201 });
};
