import type { ExperimentView } from '@bright-sprout/contract/plan';
import { SowingRequest, sowRoutes } from '@bright-sprout/contract/sow';
import { Body, Controller, Param } from '@nestjs/common';
import { CurrentTeacher, type KnownTeacher } from '../people/index.ts';
import { PlanService } from '../plan/index.ts';
import { Clock, Operation } from '../shared/index.ts';
import { SowingService } from './sowing.service.ts';

/** Sowing. */
@Controller()
export class SowController {
  constructor(
    private readonly sowing: SowingService,
    private readonly plans: PlanService,
    private readonly clock: Clock,
  ) {}

  @Operation(sowRoutes.sowAll)
  async sowAll(
    @Param('experimentId') id: string,
    @Body() body: SowingRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<ExperimentView> {
    await this.sowing.sow(id, body.sowedOn, body.unitIds, this.clock.today(teacher.timeZone));
    return this.plans.view(id, teacher);
  }
}
