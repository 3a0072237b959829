import { json, route } from '../shared/index.ts';
import type { ExperimentCard } from './experiment-card.ts';

export type { CardTreatmentView, ExperimentCard, JobView } from './experiment-card.ts';

/** The experiments. */
export const experimentRoutes = {
  experiments: route({
    method: 'GET',
    path: '/experiments',
    summary: 'All experiments of the teacher, what is due today first',
    access: 'teacher',
    answer: json<ExperimentCard[]>(),
  }),
} as const;
