import type { Plan } from '$core/plan/schema';
import { loadPlan } from '$core/plan/load';
import { addressesOf, KEPT, KEPT_PLANS, type WorkerOrder } from './rules';

/** What this device keeps for a start without a network. A browser that keeps nothing, as on an address without a certificate, works as before. */

/** A plan as the server had it at a revision. */
export interface KeptPlan {
  readonly revision: number;
  readonly plan: Plan;
}

const store = async (name: string): Promise<Cache | null> =>
  typeof caches === 'undefined' ? null : caches.open(name).catch(() => null);
const nameOf = (show: string): string => `/kept/${show}`;

/** Keeps the plan that the server has acknowledged: a page that was kept earlier may be older. */
export async function keepPlan(show: string, kept: KeptPlan): Promise<void> {
  const cache = await store(KEPT_PLANS);
  // A device that is full keeps what it has.
  await cache?.put(nameOf(show), new Response(JSON.stringify(kept))).catch(() => undefined);
}

/** Null where none is kept, or it cannot be read any more. */
export async function keptPlan(show: string): Promise<KeptPlan | null> {
  const cache = await store(KEPT_PLANS);
  const found: unknown = await (await cache?.match(nameOf(show)))?.json().catch(() => null);
  const { revision, plan } = (found ?? {}) as Partial<Record<keyof KeptPlan, unknown>>;
  if (typeof revision !== 'number') return null;
  const loaded = loadPlan(plan);
  return loaded.ok ? { revision, plan: loaded.plan } : null;
}

/** Nothing of a crew stays on a device that has signed out. */
export async function forgetAll(): Promise<void> {
  if (typeof caches === 'undefined') return;
  await Promise.allSettled(KEPT.map((name) => caches.delete(name)));
}

/** Begins to keep the program itself. */
export function keepProgram(): void {
  if (!('serviceWorker' in navigator)) return;
  void navigator.serviceWorker.register('/service-worker.js', { type: 'module' }).catch(() => undefined);
}

/** Has the views of a show kept, and the list of shows. */
export async function keepShow(show: string): Promise<void> {
  if (!('serviceWorker' in navigator)) return;
  const { active } = await navigator.serviceWorker.ready;
  active?.postMessage({ urls: addressesOf(show) } satisfies WorkerOrder);
}
