import { compareTasks } from '../compare/index.ts';
import { exchangeTasks } from '../exchange/index.ts';
import { recordTasks } from '../record/index.ts';
import { type HeavyTask, READY } from '../shared/index.ts';

/** Every task that threads know, by name. */
export const HEAVY_TASKS = new Map<string, HeavyTask<never, unknown>>(
  [READY, recordTasks, compareTasks, exchangeTasks].flatMap((tasks) =>
    Object.values<HeavyTask<never, unknown>>(tasks).map((task) => [task.name, task] as const),
  ),
);
