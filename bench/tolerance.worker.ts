import { parentPort, workerData } from 'node:worker_threads';
import { sampleLine } from '../core/judge/tolerance';

const { plan, line, first, count } = workerData;
parentPort!.once('message', () => parentPort!.postMessage(sampleLine(plan, line, 1, first, count)));
parentPort!.postMessage('ready');
