import { listen as says } from '$core/words/screen/listen';
import { proxy, type Remote, wrap } from 'comlink';
import type { HearApi, Heard, ToHear } from './hear.worker';

/** One rendering at a time, beside the page, with how far it is; a new one, or cancelling, ends the one before. */
export class Hearing {
  result = $state.raw<readonly Heard[] | null>(null);
  /** Share that is done; null when nothing is under way. */
  progress = $state<number | null>(null);
  failed = $state<string | null>(null);
  #worker: Worker | null = null;

  async hear(to: ToHear): Promise<readonly Heard[] | null> {
    this.cancel();
    this.failed = null;
    this.progress = 0;
    const worker = new Worker(new URL('./hear.worker.ts', import.meta.url), { type: 'module' });
    this.#worker = worker;
    const api: Remote<HearApi> = wrap<HearApi>(worker);
    try {
      const failed = new Promise<never>((_, reject) => {
        worker.onerror = () => reject(new Error(says.computingPart));
      });
      const told = proxy((share: number) => {
        if (this.#worker === worker) this.progress = share;
      });
      const made = await Promise.race([api.hear(to, told), failed]);
      if (this.#worker !== worker) return null;
      return (this.result = made);
    } catch (error) {
      if (this.#worker === worker) this.failed = error instanceof Error ? error.message : String(error);
      return null;
    } finally {
      if (this.#worker === worker) this.cancel();
      else worker.terminate();
    }
  }
  cancel(): void {
    this.#worker?.terminate();
    this.#worker = null;
    this.progress = null;
  }
}
