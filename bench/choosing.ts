import { resolve } from '../core/plan/resolved';
import { once } from 'node:events';
import { Worker } from 'node:worker_threads';
import { allocate } from '../core/advise/allocate';
import { routesFor } from '../core/advise/routes';
import { type Route } from '$core/advise/route';
import { parcelsOf } from '../core/advise/search';
import { Stock } from '../core/advise/stock';
import { judgePlan } from '../core/judge/judge';
import { SolvedRig } from '../core/judge/solved-rig';
import { type Kit, PLAIN } from '../core/kit/schema';
import { exactSolver } from '../src/lib/solver/highs';
import { show, time } from './shows';

/** A hundred kinds of things, of which these lines can use some. */
function hundred(): Kit {
  const boxes = ['active-di', 'active-di-10m', 'passive-di', 'media-di', 'isolator', 'preamp-di', 'small-mixer'];
  const kit: Record<string, Kit[string]> = {};
  boxes.forEach((model, k) => (kit[`box${k}`] = { kind: 'device', model, ...PLAIN, count: 8 + k }));
  for (let k = 0; Object.keys(kit).length < 100; k++)
    kit[`lead${k}`] =
      k % 2 === 0
        ? { kind: 'lead', cable: 'instrument', metres: 1 + k / 4, plugs: ['ts', 'ts'], ...PLAIN, count: 2 }
        : { kind: 'lead', cable: 'mic', metres: 1 + k / 2, plugs: ['xlr', 'xlr'], ...PLAIN, count: 2 };
  return kit;
}

export interface Choosing {
  /** Seconds: all ways of the slowest line of four kinds; a proposal for 64 lines, alike in kind and all unlike. */
  readonly ways: number;
  readonly waysOverJudge: number;
  readonly alike: number;
  readonly unlike: number;
  /** The last one in two threads. */
  readonly twoThreads: number;
}

export async function choosing(): Promise<Choosing> {
  const four = show(4);
  const ways = Math.max(...resolve(four).lines.map((line) => time(() => routesFor(four, line), 3, 1)));
  const judge = time(() => judgePlan(show(1)), 11, 5);
  const solve = exactSolver();
  const kit = hundred();
  const stock = new Stock(kit);
  const seconds = async (plan: ReturnType<typeof show>): Promise<number> => {
    new SolvedRig(plan).solved();
    const from = performance.now();
    await allocate(plan, { stock, solve });
    return (performance.now() - from) / 1000;
  };
  // As the program does it: the lines are searched in two threads, and chosen from together.
  const together = async (plan: ReturnType<typeof show>): Promise<number> => {
    const parcels = parcelsOf(plan, resolve(plan).lines, 2);
    const workers = await Promise.all(
      parcels.map(async (ids) => {
        const worker = new Worker(new URL('./search.js', import.meta.url), { workerData: { plan, kit, ids } });
        await once(worker, 'message');
        return worker;
      })
    );
    const from = performance.now();
    const parts = workers.map((worker) => once(worker, 'message') as Promise<[Map<string, readonly Route[]>]>);
    for (const worker of workers) worker.postMessage('go');
    const found = new Map((await Promise.all(parts)).flatMap(([part]) => [...part]));
    await allocate(plan, { stock, solve, found });
    const seconds = (performance.now() - from) / 1000;
    await Promise.all(workers.map((worker) => worker.terminate()));
    return seconds;
  };
  const plan = show(64);
  await seconds(show(8));
  const alike = await seconds(plan);
  // No two leads of the same length: nothing that was found for one line serves another.
  const unlike = structuredClone(plan);
  Object.values(unlike.cables).forEach((cable, k) => (cable.metres += k * 0.001));
  return {
    ways,
    waysOverJudge: ways / judge,
    alike,
    unlike: await seconds(unlike),
    twoThreads: await together(unlike)
  };
}
