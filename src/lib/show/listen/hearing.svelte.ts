import { listen as says } from '$core/words/screen/listen';
import type { Against, CameThrough } from '$core/hear/explain';
import type { Plan } from '$core/plan/schema';
import { formatNumber } from '$core/units/format';
import { proxy, type Remote, wrap } from 'comlink';
import type { Candidate } from './candidates';
import type { HearApi, Heard, ToHear, Variant } from './hear.worker';

/** One rendering at a time, beside the page, with how far it is; a new one, or cancelling, ends the one before. */
export class Hearing {
  /** Share that is done; null when nothing is under way. */
  progress = $state<number | null>(null);
  failed = $state<string | null>(null);
  #worker: Worker | null = null;

  hear(to: ToHear): Promise<readonly Heard[] | null> {
    return this.#run((api, told) => api.hear(to, told));
  }
  against(
    plan: Plan,
    takes: readonly [Float32Array, Float32Array],
    through: readonly [CameThrough, CameThrough],
    rate: number
  ): Promise<Against | null> {
    return this.#run((api) => api.against(plan, takes, through, rate));
  }
  async variants(plan: Plan, lineId: string, kind: 'tolerance' | 'faults'): Promise<readonly Candidate[] | null> {
    const found = await this.#run((api) => api.variants(plan, lineId, kind));
    return (
      found?.map(({ ops, ...of }, k) => ({
        key: `${kind} ${k}`,
        name: variantName(of),
        through: { kind: 'line', ops }
      })) ?? null
    );
  }

  async #run<T>(ask: (api: Remote<HearApi>, told: (share: number) => void) => Promise<T>): Promise<T | null> {
    this.cancel();
    this.failed = null;
    this.progress = 0;
    const worker = new Worker(new URL('./hear.worker.ts', import.meta.url), { type: 'module' });
    this.#worker = worker;
    try {
      const failed = new Promise<never>((_, reject) => {
        worker.onerror = () => reject(new Error(says.computingPart));
      });
      const told = proxy((share: number) => {
        if (this.#worker === worker) this.progress = share;
      });
      const made = await Promise.race([ask(wrap<HearApi>(worker), told), failed]);
      return this.#worker === worker ? made : null;
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

const variantName = ({ db, fault }: Pick<Variant, 'db' | 'fault'>): string =>
  fault !== null
    ? fault.replace(/\.$/, '')
    : db! < 0
      ? says.dullest(formatNumber(db!, 1, true))
      : says.brightest(formatNumber(db!, 1, true));
