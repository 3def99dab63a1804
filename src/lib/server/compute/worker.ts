import { setPriority } from 'node:os';
import { platform } from 'node:process';
import { TASKS, type Tasks } from './tasks';

/** Whoever saves or opens something goes first. On Linux a priority is a thread's own; elsewhere it would be the whole server's. */
const PRIORITY = 10;
if (platform === 'linux') setPriority(PRIORITY);

/** One thread of the pool: takes a task by its name. Built by itself, for a thread loads a file and not a page. */
export default <K extends keyof Tasks>({ task, input }: { task: K; input: Parameters<Tasks[K]>[0] }): unknown =>
  (TASKS[task] as (input: unknown) => unknown)(input);
