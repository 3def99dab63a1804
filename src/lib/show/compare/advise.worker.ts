import { resolve } from '$core/plan/resolved';
import { allocate, type Proposal } from '$core/advise/allocate';
import { needsOf, type Needs } from '$core/advise/needs';
import { routesFor } from '$core/advise/routes';
import { type Route } from '$core/advise/route';
import { type School, schoolsOf } from '$core/advise/schools';
import { parcelsOf, Search } from '$core/advise/search';
import { Stock } from '$core/advise/stock';
import { SolvedRig } from '$core/judge/solved-rig';
import type { Kit } from '$core/kit/schema';
import type { Plan } from '$core/plan/schema';
import { exactSolver } from '$lib/solver/highs';
import { expose, wrap } from 'comlink';
import wasm from 'highs/runtime?url';

export interface Compared {
  readonly routes: readonly Route[];
  readonly needs: Needs | null;
}

type Found = Map<string, readonly Route[]>;

const solve = exactSolver(wasm);
/** Threads of a search, this one included: one for each core, taking two threads of the machine for one core. */
const threads = (): number => Math.min(4, Math.max(2, Math.floor((navigator.hardwareConcurrency || 2) / 2)));
/** A show of fewer lines is searched before another thread has started. */
const WORTH_A_THREAD = 8;

/** Searches lines one after the other, here. */
function searchHere(search: Search, ids: readonly string[], told: (share: number) => void): Found {
  const wanted = new Set(ids);
  const lines = search.whole.lines.filter((l) => wanted.has(l.id));
  return new Map(
    lines.map((line, k) => {
      told(k / lines.length);
      return [line.id, search.routes(line)] as const;
    })
  );
}

/** Searches all lines, part of them in threads of their own, which end with this one. */
async function searchTogether(plan: Plan, kit: Kit | null, told: (share: number) => void): Promise<Found> {
  const search = new Search(plan, new Stock(kit));
  const { lines } = search.whole;
  const most = lines.length < WORTH_A_THREAD ? 1 : threads();
  const [mine, ...theirs] = parcelsOf(plan, lines, most);
  const parts = theirs
    .filter((ids) => ids.length > 0)
    .map((ids) => {
      const worker = new Worker(new URL('./advise.worker.ts', import.meta.url), { type: 'module' });
      return { ids, worker, api: wrap<AdviseApi>(worker) };
    });
  // Started before this thread is busy: it could not start them then.
  await Promise.all(parts.map(({ api }) => api.ready()));
  const others = parts.map(({ api, ids }) => api.search(plan, kit, ids));
  const own = searchHere(search, mine, told);
  const all = await Promise.all(others);
  parts.forEach(({ worker }) => worker.terminate());
  return new Map([own, ...all].flatMap((found) => [...found]));
}
/** How coarse the ways are computed for the schools. */
const PER_OCTAVE = 3;

/** Searches that take longer than a blink; called off by ending the worker. */
const api = {
  /** Every way of one line. @param kit null when anything can be had */
  compare(plan: Plan, lineId: string, kit: Kit | null): Compared {
    const line = resolve(plan).line(lineId);
    const routes = line ? routesFor(plan, line, { stock: new Stock(kit) }) : [];
    return { routes, needs: needsOf(routes) };
  },

  /** The best use of a kit over the whole show. */
  async propose(plan: Plan, kit: Kit | null, progress: (share: number) => void): Promise<Proposal> {
    const stock = new Stock(kit);
    const told = (from: number, to: number) => (share: number) => {
      progress(from + share * (to - from));
      return true;
    };
    const found = await searchTogether(plan, kit, told(0, 0.8));
    const proposal = await allocate(plan, { stock, solve, found, progress: told(0.8, 1) });
    return proposal!;
  },

  /** Ways of some lines, for another thread's proposal. */
  search: (plan: Plan, kit: Kit | null, ids: readonly string[]): Found =>
    searchHere(new Search(plan, new Stock(kit)), ids, () => undefined),

  /** Tells that this thread has started. */
  ready: (): void => undefined,

  /** What each school would do with the show. */
  schools(plan: Plan, progress: (share: number) => void): School[] {
    const whole = new SolvedRig(plan);
    const routes = new Map(
      whole.lines.map((line, k) => {
        progress(k / whole.lines.length);
        return [line.id, routesFor(plan, line, { perOctave: PER_OCTAVE, around: whole.around(line) })];
      })
    );
    return schoolsOf(plan, whole.lines, routes);
  }
};

export type AdviseApi = typeof api;
expose(api);
