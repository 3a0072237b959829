import { comparisonTasks } from '../comparison/index.ts';
import { exchangeTasks } from '../imports/index.ts';
import { recordTasks } from '../readings/index.ts';
import { type HeavyTask, READY } from '../shared/index.ts';

/** Every task that threads know, by name. */
export const HEAVY_TASKS = new Map<string, HeavyTask<never, unknown>>(
  [READY, recordTasks, comparisonTasks, exchangeTasks].flatMap((tasks) =>
    Object.values<HeavyTask<never, unknown>>(tasks).map((task) => [task.name, task] as const),
  ),
);
