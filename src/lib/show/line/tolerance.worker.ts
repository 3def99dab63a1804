import { type Samples, sampleLine } from '$core/judge/tolerance';
import type { Plan } from '$core/plan/schema';
import { expose } from 'comlink';

/** Runs between two reports of progress. */
const REPORT = 20;

const api = {
  /** Some runs of one line; progress is told as runs done. */
  sample(
    plan: Plan,
    lineId: string,
    seed: number,
    first: number,
    count: number,
    progress: (done: number) => void
  ): Samples {
    return sampleLine(plan, lineId, seed, first, count, (done) => {
      if (done % REPORT === 0 || done === count) progress(done);
      return true;
    });
  }
};

export type ToleranceApi = typeof api;
expose(api);
