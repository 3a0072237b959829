import type { ExperimentView } from '@bright-sprout/contract/plan';
import {
  SowingNoteRequest,
  SowingRequest,
  sowRoutes,
  TickRequest,
  type TickView,
} from '@bright-sprout/contract/sow';
import { Body, Controller, Param } from '@nestjs/common';
import { CurrentTeacher, type KnownTeacher } from '../people/index.ts';
import { PlanService } from '../plan/index.ts';
import { Clock, Operation } from '../shared/index.ts';
import { SowingService } from './sowing.service.ts';
import { TicksService } from './ticks.service.ts';

/** Sowing. */
@Controller()
export class SowController {
  constructor(
    private readonly sowing: SowingService,
    private readonly ticks: TicksService,
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

  @Operation(sowRoutes.ticks)
  allTicks(@Param('experimentId') id: string): Promise<TickView[]> {
    return this.ticks.all(id);
  }

  @Operation(sowRoutes.tick)
  tick(
    @Param('experimentId') id: string,
    @Body() body: TickRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<TickView[]> {
    return this.ticks.tick(id, body, teacher.displayName, null);
  }

  @Operation(sowRoutes.noteSowing)
  async note(
    @Param('experimentId') id: string,
    @Body() body: SowingNoteRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<ExperimentView> {
    await this.ticks.note(id, body);
    return this.plans.view(id, teacher);
  }
}
