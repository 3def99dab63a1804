import { parentPort, workerData } from 'node:worker_threads';
import { Search } from '../core/advise/search';
import { Stock } from '../core/advise/stock';

const { plan, kit, ids } = workerData as { plan: Search['plan']; kit: Stock['kit']; ids: string[] };
const search = (): Map<string, unknown> => {
  const made = new Search(plan, new Stock(kit));
  return new Map(made.whole.lines.flatMap((l) => (ids.includes(l.id) ? [[l.id, made.routes(l)]] : [])));
};
// Once through, as a page has been that is in use.
search();
parentPort!.once('message', () => parentPort!.postMessage(search()));
parentPort!.postMessage('ready');
