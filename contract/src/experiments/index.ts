import { own, teacher } from '../shared/index.ts';
import type { ExperimentCard } from './experiment-card.ts';
import type { HandOverRequest } from './hand-over.ts';

export { HandOverRequest } from './hand-over.ts';
export type { CardTreatmentView, ExperimentCard, JobView } from './experiment-card.ts';

/** The experiments, and who owns them. */
export const experimentRoutes = {
  experiments: teacher
    .get('/experiments', 'All experiments of the teacher, what is due today first')
    .answers<ExperimentCard[]>(),
  handOverClass: own
    .put('/classes/:classId/owner', 'Hand a class with its experiments over to a co-teacher')
    .grave()
    .takes<HandOverRequest>('HandOverRequest'),
  handOverExperiment: own
    .put('/experiments/:experimentId/owner', 'Hand an experiment of no class over to a co-teacher')
    .grave()
    .takes<HandOverRequest>('HandOverRequest'),
} as const;
