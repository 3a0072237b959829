import { json, route } from '../shared/index.ts';

import { ComparisonQuery, StudyQuery } from './query.ts';
import type { ComparisonView, StudyView } from './views.ts';

export {
  COMPARISON_PARTS,
  type ComparisonPart,
  ComparisonQuery,
  PER_RULES,
  SET_ASIDE_RULES,
  StudyQuery,
} from './query.ts';
export type { ComparisonView, StudyView } from './views.ts';

/** Comparisons. */
export const comparisonRoutes = {
  comparison: route({
    method: 'GET',
    path: '/experiments/:experimentId/comparison',
    summary: 'Every figure of Compare in full precision: the answer, its words, and the parts asked for',
    access: 'owner',
    query: ComparisonQuery,
    answer: json<ComparisonView>(),
  }),
  study: route({
    method: 'GET',
    path: '/experiments/:experimentId/study',
    summary: 'All runs of the same plan pooled, classes as blocks',
    access: 'owner',
    query: StudyQuery,
    answer: json<StudyView>(),
  }),
} as const;
