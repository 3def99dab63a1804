import type { LiveEvent } from '$lib/protocol/live';
import { listen, notify } from './db';

/** Who looks at a crew's shows hears at once what others did, on whichever server they did it. */

const CHANNEL = 'guanxi_live';
type Listener = (event: LiveEvent) => void;
const listeners = new Map<string, Set<Listener>>();
let listening: Promise<unknown> | undefined;

/** Calls back for everything new of a crew. @returns ends it */
async function watchCrew(crewId: string, heard: Listener): Promise<() => void> {
  listening ??= listen(CHANNEL, (message) => {
    const { crew, event } = JSON.parse(message) as { crew: string; event: LiveEvent };
    listeners.get(crew)?.forEach((l) => l(event));
  }).catch((error: unknown) => {
    listening = undefined;
    throw error;
  });
  await listening;
  const set = listeners.get(crewId) ?? new Set();
  listeners.set(crewId, set.add(heard));
  return () => {
    set.delete(heard);
    if (set.size === 0 && listeners.get(crewId) === set) listeners.delete(crewId);
  };
}

/** Tells everybody of a crew, on all servers. Small: a message holds 8,000 bytes at most. */
export const tellCrew = (crewId: string, event: LiveEvent): Promise<unknown> =>
  notify(CHANNEL, JSON.stringify({ crew: crewId, event }));

/** A sign of life, so that a dead connection is noticed, milliseconds. */
const BEAT = 20_000;

/** Server-sent events of a crew, as far as whoever asks may hear of them. */
export function streamOf(crewId: string, hears: (event: LiveEvent) => boolean, signal: AbortSignal): Response {
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
      const stop = await watchCrew(crewId, (event) => {
        if (hears(event)) send(`event: live\ndata: ${JSON.stringify(event)}\n\n`);
      });
      // Only now: who hears this may count on hearing of everything after it.
      send(': hello\n\n');
      const beat = setInterval(() => send(': beat\n\n'), BEAT);
      end = () => {
        clearInterval(beat);
        stop();
      };
      if (signal.aborted) end();
      else signal.addEventListener('abort', () => end());
    },
    cancel: () => end()
  });
  return new Response(stream, { headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' } });
}
