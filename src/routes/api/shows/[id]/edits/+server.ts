import { bodyOf, found, idOf, numberOf } from '$lib/server/http';
import { pushEdits } from '$lib/server/push';
import { editsSince } from '$lib/server/shows';
import { PushSchema } from '$lib/protocol/edits';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Takes edits in. 409 when one of them no longer fits; those before it are taken in all the same. */
export const POST: RequestHandler = async ({ params, request, locals }) => {
  const id = idOf(params.id);
  const { base, edits } = await bodyOf(request, PushSchema);
  const answer = found(await pushEdits(await locals.who(), id, base, edits));
  return json(answer, { status: answer.conflict ? 409 : 200 });
};

/** What has been done since a revision. Whoever has but a link to the show is told only what it is now. */
export const GET: RequestHandler = async ({ params, url, locals }) => {
  const { crewId, rank } = await locals.who();
  const since = numberOf(url, 'since');
  return json(found(await editsSince(crewId, idOf(params.id), since, rank === 'guest')));
};
