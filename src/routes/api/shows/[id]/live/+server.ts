import { found, idOf } from '$lib/server/http';
import { streamOf } from '$lib/server/live';
import { hasShow } from '$lib/server/shows';
import type { RequestHandler } from './$types';

/** Everything new of a show: server-sent events. Whoever has but a link to it hears nothing of its crew. */
export const GET: RequestHandler = async ({ params, locals, request }) => {
  const { crewId, rank } = await locals.who();
  const id = idOf(params.id);
  found(await hasShow(crewId, id));
  return streamOf(
    crewId,
    (event) =>
      rank === 'guest'
        ? 'show' in event && event.show === id && event.kind !== 'here' && event.kind !== 'log'
        : !('show' in event) || event.show === id,
    async () => {
      const now = await locals.again();
      return now?.crewId === crewId && now.rank === rank;
    },
    request.signal
  );
};
