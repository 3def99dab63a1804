import { server as says } from '$core/words/server';
import { InstrumentChangeSchema } from '$lib/protocol/players';
import { putDocument } from '$lib/server/documents';
import { bodyOf, idOf } from '$lib/server/http';
import { error, json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Writes an instrument down, changes or takes it out; 409 with what is there where somebody else has changed it. */
export const PUT: RequestHandler = async ({ request, params, locals }) => {
  const { from, to } = await bodyOf(request, InstrumentChangeSchema);
  const answer = await putDocument('instrument', (await locals.who()).crewId, idOf(params.instrument), from, to);
  if (answer.ok) return json({ taken: true });
  if ('tooMany' in answer) error(400, says.tooManyOfThem(answer.tooMany));
  return json({ message: says.somebodyChangedIt, now: answer.now }, { status: 409 });
};
