import { LogAskSchema } from '$lib/protocol/log';
import { pageOf } from '$lib/server/show-log/book';
import { error, json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** A page of the log, of one show or of all of the crew's, searched where words are given. */
export const GET: RequestHandler = async ({ locals, url }) => {
  const { crewId } = await locals.who();
  const ask = LogAskSchema.safeParse(Object.fromEntries([...url.searchParams].filter(([, value]) => value !== '')));
  if (!ask.success) {
    const [issue] = ask.error.issues;
    error(400, `${issue.path.join('.')}: ${issue.message}`);
  }
  return json(await pageOf(crewId, ask.data));
};
