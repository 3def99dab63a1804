import { type Samples, summarise, type Tolerance } from '$core/judge/tolerance';
import type { Plan } from '$core/plan/schema';
import { proxy, type Remote, wrap } from 'comlink';
import type { ToleranceApi } from './tolerance.worker';

const RUNS = 400;
const THREADS = 2;
const SEED = 1;

/** The tolerance run of one line: two workers of its own, so that cancelling is ending them. */
export class ToleranceRun {
  /** Share done, 0 to 1; null when nothing is running. */
  progress = $state<number | null>(null);
  result = $state.raw<Tolerance | null>(null);
  failed = $state<string | null>(null);
  /** What the result is of. */
  of = $state<string | null>(null);
  #workers: Worker[] = [];

  /** Draws and judges; a run still going on is ended. */
  async start(plan: Plan, lineId: string, key: string): Promise<void> {
    this.cancel();
    this.result = null;
    this.failed = null;
    this.of = key;
    this.progress = 0;
    const done = Array.from({ length: THREADS }, () => 0);
    const workers = done.map(() => new Worker(new URL('./tolerance.worker.ts', import.meta.url), { type: 'module' }));
    this.#workers = workers;
    try {
      const parts = await Promise.all(
        workers.map((worker, k): Promise<Samples> => {
          const api: Remote<ToleranceApi> = wrap<ToleranceApi>(worker);
          const told = proxy((n: number) => {
            done[k] = n;
            if (this.#workers === workers) this.progress = done.reduce((a, b) => a + b, 0) / RUNS;
          });
          return new Promise((resolve, reject) => {
            worker.onerror = () => reject(new Error('a worker failed to load'));
            api.sample(plan, lineId, SEED, (k * RUNS) / THREADS, RUNS / THREADS, told).then(resolve, reject);
          });
        })
      );
      if (this.#workers !== workers) return;
      this.result = summarise(parts);
    } catch (error) {
      if (this.#workers !== workers) return;
      this.failed = `The runs could not be computed: ${error instanceof Error ? error.message : String(error)}`;
    }
    this.#end();
  }

  /** Ends a run that is going on; what it has drawn is thrown away. */
  cancel(): void {
    if (this.progress !== null) this.of = null;
    this.#end();
  }

  #end(): void {
    for (const worker of this.#workers) worker.terminate();
    this.#workers = [];
    this.progress = null;
  }
}
