import { ArrayMaxSize, ArrayMinSize, IsArray, IsOptional, IsUUID } from 'class-validator';
import { ExperimentView } from '../plan/index.ts';
import { IsCalendarDay, route } from '../shared/index.ts';

/** Marks every unit as sown on a day. */
export class SowingRequest {
  @IsCalendarDay({ message: 'Give the day the seeds went in.' })
  sowedOn: string;

  /** The units sown; all of them when left out. */
  @IsOptional()
  @IsArray()
  @ArrayMinSize(1, { message: 'Choose at least one pot.' })
  @ArrayMaxSize(500)
  @IsUUID(undefined, { each: true })
  unitIds?: string[];
}

/** Sowing. */
export const sowRoutes = {
  sowAll: route({
    method: 'PUT',
    path: '/experiments/:experimentId/sowing',
    summary: 'Mark all units, or some of them, as sown on a day',
    access: 'owner',
    body: SowingRequest,
    answer: ExperimentView,
  }),
} as const;
