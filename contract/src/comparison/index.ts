import type { ComparisonView, StudyView } from './views.ts';
import type { ComparisonQuery, StudyQuery } from './query.ts';
import { see } from '../shared/index.ts';

export * from './query.ts';
export type { ComparisonView, StudyView } from './views.ts';

/** Comparisons. */
export const comparisonRoutes = {
  comparison: see
    .get(
      '/experiments/:experimentId/comparison',
      'Every figure of Compare in full precision: the answer, its words, and the parts asked for',
    )
    .asks<ComparisonQuery>('ComparisonQuery')
    .answers<ComparisonView>(),
  study: see
    .get('/experiments/:experimentId/study', 'All runs of the same plan pooled, classes as blocks')
    .asks<StudyQuery>('StudyQuery')
    .answers<StudyView>(),
} as const;
