import type { ComparisonView, StudyView } from './views.ts';
import type { ComparisonQuery, StudyQuery } from './query.ts';
import { json, request, route } from '../shared/index.ts';

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
    access: 'see',
    query: request<ComparisonQuery>('ComparisonQuery'),
    answer: json<ComparisonView>(),
  }),
  study: route({
    method: 'GET',
    path: '/experiments/:experimentId/study',
    summary: 'All runs of the same plan pooled, classes as blocks',
    access: 'see',
    query: request<StudyQuery>('StudyQuery'),
    answer: json<StudyView>(),
  }),
} as const;
