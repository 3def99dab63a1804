import { allocate, type Proposal } from '$core/advise/allocate';
import { needsOf, type Needs } from '$core/advise/needs';
import { type Route, routesFor } from '$core/advise/routes';
import { type School, schoolsOf } from '$core/advise/schools';
import { Stock } from '$core/advise/stock';
import { Whole } from '$core/judge/whole';
import type { Kit } from '$core/kit/schema';
import { traceLines } from '$core/plan/lines';
import type { Plan } from '$core/plan/schema';
import { exactSolver } from '$lib/compute/solver';
import { expose } from 'comlink';
import wasm from 'highs/runtime?url';

export interface Compared {
  readonly routes: readonly Route[];
  readonly needs: Needs | null;
}

const solve = exactSolver(wasm);
/** How coarse the ways are computed for the schools. */
const PER_OCTAVE = 3;

/** Searches that take longer than a blink; called off by ending the worker. */
const api = {
  /** Every way of one line. @param kit null when anything can be had */
  compare(plan: Plan, lineId: string, kit: Kit | null): Compared {
    const line = traceLines(plan).find((l) => l.id === lineId);
    const routes = line ? routesFor(plan, line, { stock: new Stock(kit) }) : [];
    return { routes, needs: needsOf(routes) };
  },

  /** The best use of a kit over the whole show. */
  async propose(plan: Plan, kit: Kit | null, progress: (share: number) => void): Promise<Proposal> {
    const found = await allocate(plan, {
      stock: new Stock(kit),
      solve,
      progress: (share) => {
        progress(share);
        return true;
      }
    });
    return found!;
  },

  /** What each school would do with the show. */
  schools(plan: Plan, progress: (share: number) => void): School[] {
    const whole = new Whole(plan);
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
