import { listRoute } from '../shared/index.ts';
import { ExperimentCard } from './shelf-view.ts';

export { CardTreatmentView, ExperimentCard, JobView } from './shelf-view.ts';

/** The shelf. */
export const shelfRoutes = {
  shelf: listRoute({
    method: 'GET',
    path: '/experiments',
    summary: 'All experiments of the teacher, what is due today first',
    access: 'teacher',
    answer: ExperimentCard,
  }),
} as const;
