import { json, request, route } from '../shared/index.ts';
import type { ExperimentCard } from './experiment-card.ts';
import type { HandOverRequest } from './hand-over.ts';

export { HandOverRequest } from './hand-over.ts';
export type { CardTreatmentView, ExperimentCard, JobView } from './experiment-card.ts';

/** The experiments, and who owns them. */
export const experimentRoutes = {
  experiments: route({
    method: 'GET',
    path: '/experiments',
    summary: 'All experiments of the teacher, what is due today first',
    access: 'teacher',
    answer: json<ExperimentCard[]>(),
  }),
  handOverClass: route({
    method: 'PUT',
    path: '/classes/:classId/owner',
    summary: 'Hand a class with its experiments over to a co-teacher',
    access: 'own',
    body: request<HandOverRequest>('HandOverRequest'),
    isGrave: true,
  }),
  handOverExperiment: route({
    method: 'PUT',
    path: '/experiments/:experimentId/owner',
    summary: 'Hand an experiment of no class over to a co-teacher',
    access: 'own',
    body: request<HandOverRequest>('HandOverRequest'),
    isGrave: true,
  }),
} as const;
