import { route } from '../shared/index.ts';
import { ComparisonQuery, ComparisonView } from './views.ts';

export { ComparisonQuery, ComparisonView } from './views.ts';

/** Comparisons. */
export const compareRoutes = {
  comparison: route({
    method: 'GET',
    path: '/experiments/:experimentId/comparison',
    summary: 'Treatments compared on one day, with curves over time',
    access: 'owner',
    query: ComparisonQuery,
    answer: ComparisonView,
  }),
} as const;
