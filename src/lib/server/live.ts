import type { LiveEvent } from '$lib/protocol/live';
import { listen, notify } from './db';

/** Who looks at a crew's shows hears at once what others did, on whichever server they did it. */

export const CHANNEL = 'guanxi_live';
type Listener = (event: LiveEvent) => void;
const listeners = new Map<string, Set<Listener>>();
/** Ends of all streams: who is let go comes back, and catches up with what may have been missed. */
const streams = new Set<() => void>();
/** Streams of a crew, each asking whether whoever listens still may. */
const asked = new Map<string, Set<() => void>>();

/** A server tells itself this often that it still hears, milliseconds; not hearing it this long, it listens anew. */
const ECHO = 4000;
const DEAF = 10_000;
const SELF = crypto.randomUUID();
let listening: Promise<unknown> | undefined;
let heardSelf = 0;
let letGo = (): void => undefined;

function take(message: string): void {
  const { crew, event, self, again } = JSON.parse(message) as {
    crew?: string;
    event?: LiveEvent;
    self?: string;
    again?: true;
  };
  if (self === SELF) heardSelf = Date.now();
  if (crew && again) asked.get(crew)?.forEach((ask) => ask());
  if (crew && event) listeners.get(crew)?.forEach((l) => l(event));
}

/** Listens to the database, and sees to it that it goes on: a connection that died tells nobody. */
async function hearAll(): Promise<void> {
  letGo = await listen(CHANNEL, take);
  heardSelf = Date.now();
  const timer = setInterval(() => {
    void notify(CHANNEL, JSON.stringify({ self: SELF })).catch(() => undefined);
    if (Date.now() - heardSelf < DEAF) return;
    clearInterval(timer);
    letGo();
    void again();
  }, ECHO);
  timer.unref();
}
async function again(): Promise<void> {
  for (;;) {
    try {
      await hearAll();
      // Something may have been told meanwhile.
      for (const end of [...streams]) end();
      return;
    } catch {
      await new Promise((resolve) => setTimeout(resolve, 1000).unref());
    }
  }
}

/** Calls back for everything new of a crew. @returns ends it */
async function watchCrew(crewId: string, heard: Listener): Promise<() => void> {
  listening ??= hearAll().catch((error: unknown) => {
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
  notify(CHANNEL, messageTo(crewId, event));
export const messageTo = (crewId: string, event: LiveEvent): string => JSON.stringify({ crew: crewId, event });

/** Tells all servers that somebody of a crew may do less than before, or nothing: who listens is looked at anew. */
export const askAgain = (crewId: string): Promise<unknown> =>
  notify(CHANNEL, JSON.stringify({ crew: crewId, again: true }));

/** A sign of life, so that a dead connection is noticed, milliseconds. */
const BEAT = 20_000;

/**
 * Server-sent events of a crew, as far as whoever asks may hear of them.
 * @param still whether they still may: asked with each sign of life, and at once when somebody's rights have changed
 */
export function streamOf(
  crewId: string,
  hears: (event: LiveEvent) => boolean,
  still: () => Promise<boolean>,
  signal: AbortSignal
): Response {
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
      const ask = (): void =>
        // A database that is away tells nothing; the next sign of life asks again.
        void still().then(
          (may) => may || close(),
          () => undefined
        );
      const beat = setInterval(() => {
        send(': beat\n\n');
        ask();
      }, BEAT);
      const close = (): void => {
        end();
        try {
          controller.close();
        } catch {
          // It is closed already.
        }
      };
      streams.add(close);
      const all = asked.get(crewId) ?? new Set();
      asked.set(crewId, all.add(ask));
      end = () => {
        clearInterval(beat);
        streams.delete(close);
        all.delete(ask);
        stop();
      };
      if (signal.aborted) end();
      else signal.addEventListener('abort', () => end());
    },
    cancel: () => end()
  });
  return new Response(stream, { headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' } });
}
