import { exportOf } from '$lib/server/export';
import type { RequestHandler } from './$types';

/** Everything a crew has as one open file, sent as it is read. */
export const GET: RequestHandler = async ({ locals }) => {
  const { crewId } = await locals.who();
  const lines = exportOf(crewId);
  const encoder = new TextEncoder();
  const body = new ReadableStream<Uint8Array>({
    async pull(to) {
      const { value, done } = await lines.next();
      if (done) to.close();
      else to.enqueue(encoder.encode(value));
    },
    // Whoever breaks it off gives the connection back.
    cancel: async () => void (await lines.return(undefined))
  });
  return new Response(body, {
    headers: {
      'content-type': 'application/jsonl; charset=utf-8',
      'content-disposition': 'attachment; filename="guanxi-crew.jsonl"'
    }
  });
};
