import { server as says } from '$core/words/server';
import { endDevice } from '$lib/server/crew';
import { askAgain } from '$lib/server/live';
import { error, json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Signs one of one's own devices out; `others` stands for all but this one. */
export const DELETE: RequestHandler = async ({ params, locals }) => {
  const { user, crewId } = await locals.who();
  if (!user) error(404, says.thereAreNoAccountsYet);
  const ended = await endDevice(user.userId, params.id === 'others' ? { allBut: user.sessionId } : { id: params.id });
  if (!ended && params.id !== 'others') error(404, says.thereIsNoSuchDevice);
  await askAgain(crewId);
  return json({});
};
