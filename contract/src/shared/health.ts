import { IsIn } from 'class-validator';

/** The answer of the health check: given only once the database answers. */
export class HealthView {
  @IsIn(['ok'])
  status: 'ok';
}
