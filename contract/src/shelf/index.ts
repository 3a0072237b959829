import { json, route } from '../shared/index.ts';
import type { ExperimentCard } from './shelf-view.ts';

export type { CardTreatmentView, ExperimentCard, JobView } from './shelf-view.ts';

/** The shelf. */
export const shelfRoutes = {
  shelf: route({
    method: 'GET',
    path: '/experiments',
    summary: 'All experiments of the teacher, what is due today first',
    access: 'teacher',
    answer: json<ExperimentCard[]>(),
  }),
} as const;
