import { parentPort, workerData } from 'node:worker_threads';
import { sampleLine } from '../core/judge/tolerance';

const { plan, line, first, count } = workerData;
// Once through, as a page has been that is in use.
sampleLine(plan, line, 2, 0, 400);
parentPort!.once('message', () => parentPort!.postMessage(sampleLine(plan, line, 1, first, count)));
parentPort!.postMessage('ready');
