import { found, idOf } from '$lib/server/http';
import { watchShow } from '$lib/server/live';
import { getShow } from '$lib/server/shows';
import type { RequestHandler } from './$types';

/** A sign of life, so that a dead connection is noticed, milliseconds. */
const BEAT = 20_000;

/** Server-sent events: one for every change of a show's readings. */
export const GET: RequestHandler = async ({ params, locals, request }) => {
  const { id } = found(await getShow((await locals.who()).crewId, idOf(params.id)));
  const encoder = new TextEncoder();
  let end = (): void => undefined;
  const stream = new ReadableStream<Uint8Array>({
    async start(controller) {
      const send = (text: string): void => {
        try {
          controller.enqueue(encoder.encode(text));
        } catch {
          // Whoever listened is gone.
          end();
        }
      };
      send(': hello\n\n');
      const beat = setInterval(() => send(': beat\n\n'), BEAT);
      const stop = await watchShow(id, () => send('event: readings\ndata: \n\n'));
      end = () => {
        clearInterval(beat);
        stop();
      };
      if (request.signal.aborted) end();
      else request.signal.addEventListener('abort', () => end());
    },
    cancel: () => end()
  });
  return new Response(stream, { headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' } });
};
