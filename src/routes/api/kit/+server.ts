import { server as says } from '$core/words/server';
import { bodyOf } from '$lib/server/http';
import { changeKit, crewKit } from '$lib/server/kit';
import { KitChangesSchema } from '$lib/protocol/kit';
import { error, json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ locals }) => json({ kit: await crewKit((await locals.who()).crewId) });

/** Takes changes in, all or none. 409 with the kit as it is when somebody else was there first. */
export const POST: RequestHandler = async ({ request, locals }) => {
  const { changes } = await bodyOf(request, KitChangesSchema);
  const answer = await changeKit(await locals.who(), changes);
  if (answer.ok) return json({});
  if ('tooMany' in answer) error(422, says.aKitHoldsAtMostKinds(answer.tooMany));
  if ('taken' in answer) error(422, says.numberIsTaken(answer.taken));
  return json(answer, { status: 409 });
};
