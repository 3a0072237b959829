import type { ReadingView } from '@bright-sprout/contract/readings';
import type { HeavyTask } from '../shared/index.ts';
import { ReadingsService } from './readings.service.ts';

/** Work on all readings of an experiment. */
export const recordTasks = {
  readings: {
    name: 'readings',
    pool: 'figures',
    run: (services, experimentId) => services.get(ReadingsService).all(experimentId),
  } satisfies HeavyTask<string, ReadingView[]>,
} as const;
