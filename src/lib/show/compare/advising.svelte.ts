import { compare as says } from '$core/words/screen/compare';
import { proxy, type Remote, wrap } from 'comlink';
import type { AdviseApi } from './advise.worker';

/** One long search at a time, with how far it is; a new one, or cancelling, ends the one before. */
export class Advising<T> {
  result = $state.raw<T | null>(null);
  /** Share that is done; null when nothing is under way. */
  progress = $state<number | null>(null);
  failed = $state<string | null>(null);
  #worker: Worker | null = null;

  async run(search: (api: Remote<AdviseApi>, progress: (share: number) => void) => Promise<T>): Promise<void> {
    this.cancel();
    this.failed = null;
    this.progress = 0;
    const worker = new Worker(new URL('./advise.worker.ts', import.meta.url), { type: 'module' });
    this.#worker = worker;
    try {
      const failed = new Promise<never>((_, reject) => {
        worker.onerror = () => reject(new Error(says.theComputingPartOfThisPage));
      });
      const report = proxy((share: number) => {
        if (this.#worker === worker) this.progress = share;
      });
      const result = await Promise.race([search(wrap<AdviseApi>(worker), report), failed]);
      if (this.#worker === worker) this.result = result;
    } catch (error) {
      if (this.#worker === worker) this.failed = error instanceof Error ? error.message : String(error);
    }
    if (this.#worker === worker) this.cancel();
    else worker.terminate();
  }

  /** Ends what is under way; the last result stays. */
  cancel(): void {
    this.#worker?.terminate();
    this.#worker = null;
    this.progress = null;
  }
}
