import { TASKS, type Tasks } from './tasks';

/** One thread of the pool: takes a task by its name. Built by itself, for a thread loads a file and not a page. */
export default <K extends keyof Tasks>({ task, input }: { task: K; input: Parameters<Tasks[K]>[0] }): unknown =>
  (TASKS[task] as (input: unknown) => unknown)(input);
