import { ExperimentView } from '../plan/index.ts';
import { IsCalendarDay, route } from '../shared/index.ts';

/** Marks every unit as sown on a day. */
export class SowingRequest {
  @IsCalendarDay({ message: 'Give the day the seeds went in.' })
  sowedOn: string;
}

/** Sowing. */
export const sowRoutes = {
  sowAll: route({
    method: 'PUT',
    path: '/experiments/:experimentId/sowing',
    summary: 'Mark the whole container as sown on a day',
    access: 'owner',
    body: SowingRequest,
    answer: ExperimentView,
  }),
} as const;
