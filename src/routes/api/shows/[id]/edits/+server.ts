import { bodyOf, found, idOf } from '$lib/server/http';
import { pushEdits } from '$lib/server/shows';
import { PushSchema } from '$lib/show/wire';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Takes edits in. 409 when one of them no longer fits; those before it are taken in all the same. */
export const POST: RequestHandler = async ({ params, request, locals }) => {
  const id = idOf(params.id);
  const { base, edits } = await bodyOf(request, PushSchema);
  const answer = found(await pushEdits(await locals.who(), id, base, edits));
  return json(answer, { status: answer.conflict ? 409 : 200 });
};
