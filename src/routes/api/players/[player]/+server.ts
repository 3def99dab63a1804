import { server as says } from '$core/words/server';
import { PlayerChangeSchema } from '$lib/protocol/players';
import { putDocument } from '$lib/server/documents';
import { forgetPlayer } from '$lib/server/forget';
import { bodyOf, found, idOf } from '$lib/server/http';
import { error, json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Writes a player down, changes or takes it out; 409 with what is there where somebody else has changed it. */
export const PUT: RequestHandler = async ({ request, params, locals }) => {
  const { from, to } = await bodyOf(request, PlayerChangeSchema);
  const answer = await putDocument('player', (await locals.who()).crewId, idOf(params.player), from, to);
  if (answer.ok) return json({ taken: true });
  if ('tooMany' in answer) error(400, says.tooManyOfThem(answer.tooMany));
  return json({ message: says.somebodyChangedIt, now: answer.now }, { status: 409 });
};

/** Takes a player out, and their name out of everything that was written down. */
export const DELETE: RequestHandler = async ({ params, locals }) => {
  found(await forgetPlayer((await locals.who()).crewId, idOf(params.player)));
  return json({});
};
