import type {
  ComparisonQuery,
  ComparisonView,
  StudyQuery,
  StudyView,
} from '@bright-sprout/contract/comparison';
import type { HeavyTask } from '../shared/index.ts';
import { ComparisonService } from './comparison.service.ts';
import { StudyService } from './study.service.ts';

/** What is asked of an experiment. */
export interface Asked<Query> {
  readonly experimentId: string;
  readonly query: Query;
}

/** Figures of all readings of an experiment, or of several. */
export const comparisonTasks = {
  comparison: {
    name: 'comparison',
    pool: 'figures',
    run: (services, { experimentId, query }) => services.get(ComparisonService).compare(experimentId, query),
  } satisfies HeavyTask<Asked<ComparisonQuery>, ComparisonView>,
  study: {
    name: 'study',
    pool: 'figures',
    run: (services, { experimentId, query, teacherId }) =>
      services.get(StudyService).of(experimentId, query, teacherId),
  } satisfies HeavyTask<Asked<StudyQuery> & { readonly teacherId: string }, StudyView>,
} as const;
