import { server as says } from '$core/words/server';
import { TypedEntriesSchema } from '$lib/protocol/log';
import { bodyOf, found, idOf } from '$lib/server/http';
import { writeDown } from '$lib/server/show-log/book';
import { error, json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Takes in what somebody typed; what was sent before does no harm. */
export const POST: RequestHandler = async ({ request, params, locals }) => {
  const { entries } = await bodyOf(request, TypedEntriesSchema);
  const { strange } = found(await writeDown(await locals.who(), idOf(params.id), entries));
  // Of several, the outbox finds out which one it is and sends the others by themselves.
  if (strange.length > 0) error(400, says.thereIsNoSuchEntry);
  return json({ taken: entries.map((e) => e.id) });
};
