import { existsSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import Piscina from 'piscina';
import { TASKS, type Tasks, WARMED } from './tasks';

/** Computing away from the thread that answers requests: a few threads with limits, each answer for whoever still waits. */

/** One processor is left to those who ask for little. */
const THREADS = Math.max(1, Math.min(4, availableParallelism() - 1));
/** More than this waiting, and whoever asks is told to come again. */
const MOST_WAITING = 64;
/** What takes longer than this, milliseconds, or more memory than that, megabytes, is too large for this server. */
const LONGEST = 60_000;
const MOST_MEMORY = 700;

/** Why there is no answer: too large for the limits, too many before it, or nobody waits any more. */
export class NotComputed extends Error {
  constructor(readonly reason: 'too-large' | 'busy' | 'left') {
    super(reason);
  }
}

/** Where the built thread lies: beside the built server, one of whose chunks, at whatever depth, this file is. */
function built(): string | undefined {
  const found = ['..', '../..', '../../..']
    .map((up) => fileURLToPath(new URL(`${up}/compute/worker.js`, import.meta.url)))
    .find(existsSync);
  // Without it the thread that answers requests would compute, and everybody would wait: that must not pass unseen.
  if (!found && import.meta.env.PROD) throw new Error('The computing thread has not been built: npm run build.');
  return found;
}

let pool: Piscina | null | undefined;
function threads(): Piscina | null {
  if (pool !== undefined) return pool;
  const filename = built();
  pool = filename
    ? new Piscina({
        filename,
        // One stays ready: loading what paper takes is a second by itself.
        minThreads: 1,
        maxThreads: THREADS,
        maxQueue: MOST_WAITING,
        idleTimeout: 30_000,
        // Paper makes a great many small things that are gone at once.
        resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY, maxYoungGenerationSizeMb: 96 }
      })
    : null;
  return pool;
}

/**
 * Computes something in a thread. From source, where no thread has been built, it is done here.
 * @param gone ends it when whoever asked has left
 * @throws NotComputed where limits stand in the way; what the task itself throws
 */
export async function compute<K extends keyof Tasks>(
  task: K,
  input: Parameters<Tasks[K]>[0],
  gone?: AbortSignal
): Promise<Awaited<ReturnType<Tasks[K]>>> {
  type Answer = Awaited<ReturnType<Tasks[K]>>;
  const at = threads();
  if (!at) return (await (TASKS[task] as (input: unknown) => unknown)(input)) as Answer;
  const limit = AbortSignal.timeout(LONGEST);
  const signal = gone ? AbortSignal.any([gone, limit]) : limit;
  try {
    return (await at.run({ task, input }, { signal })) as Answer;
  } catch (error) {
    if (gone?.aborted) throw new NotComputed('left');
    if (limit.aborted) throw new NotComputed('too-large');
    const { message, code } = error as Error & { code?: string };
    if (code === 'ERR_WORKER_OUT_OF_MEMORY') throw new NotComputed('too-large');
    if (/queue/i.test(message)) throw new NotComputed('busy');
    throw error;
  }
}

/** Makes the first thread ready before anybody asks: loaded, and run in. Never throws; what asks first is only slower then. */
export async function readyThreads(): Promise<void> {
  if (!threads()) return;
  for (const sheet of WARMED) {
    const done = await compute('warm', { sheet }).catch(() => null);
    if (!done) return;
  }
}

/** Ends all threads, with what they are at. */
export const endThreads = async (): Promise<void> => {
  await pool?.destroy();
  pool = undefined;
};
