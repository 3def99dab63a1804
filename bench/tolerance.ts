import { resolve } from '../core/plan/resolved';
import { Worker } from 'node:worker_threads';
import { type Samples, summarise } from '../core/judge/tolerance';
import { show } from './shows';

const RUNS = 1000;
/** Seconds for 1,000 runs of one line on two threads that are up and warm. */
export async function toleranceSeconds(): Promise<number> {
  const plan = show(4);
  const line = resolve(plan).lines[0].id;
  const workers = [0, 1].map(
    (k) =>
      new Worker(new URL('./worker.js', import.meta.url), {
        workerData: { plan, line, first: (k * RUNS) / 2, count: RUNS / 2 }
      })
  );
  const next = (worker: Worker): Promise<unknown> =>
    new Promise((resolve, reject) => worker.once('message', resolve).once('error', reject));
  await Promise.all(workers.map(next));
  const from = performance.now();
  const parts = workers.map(next);
  for (const worker of workers) worker.postMessage('go');
  const { runs } = summarise((await Promise.all(parts)) as Samples[]);
  const seconds = (performance.now() - from) / 1000;
  await Promise.all(workers.map((w) => w.terminate()));
  if (runs !== RUNS) throw new Error(`${runs} of ${RUNS} runs`);
  return seconds;
}
