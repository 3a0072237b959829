import type { ExperimentView } from '@bright-sprout/contract/plans';
import {
  SowingNoteRequest,
  SowingRequest,
  TakeBackSowingRequest,
  sowingRoutes,
  TickRequest,
  type TickView,
} from '@bright-sprout/contract/sowing';
import { Body, Controller, Param } from '@nestjs/common';
import { CurrentTeacher, type KnownTeacher } from '../accounts/index.ts';
import { PlansService } from '../plans/index.ts';
import { Clock, Operation } from '../shared/index.ts';
import { SowingService } from './sowing.service.ts';
import { TicksService } from './ticks.service.ts';

/** Sowing. */
@Controller()
export class SowingController {
  constructor(
    private readonly sowing: SowingService,
    private readonly ticks: TicksService,
    private readonly plans: PlansService,
    private readonly clock: Clock,
  ) {}

  @Operation(sowingRoutes.sowAll)
  async sowAll(
    @Param('experimentId') id: string,
    @Body() body: SowingRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<ExperimentView> {
    await this.sowing.sow(id, body.sownOn, body.unitIds, this.clock.today(teacher.timeZone));
    return this.plans.view(id, teacher);
  }

  @Operation(sowingRoutes.takeBackSowing)
  async takeBack(
    @Param('experimentId') id: string,
    @Body() { unitIds }: TakeBackSowingRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<ExperimentView> {
    await this.sowing.takeBack(id, unitIds);
    return this.plans.view(id, teacher);
  }

  @Operation(sowingRoutes.ticks)
  allTicks(@Param('experimentId') id: string): Promise<TickView[]> {
    return this.ticks.all(id);
  }

  @Operation(sowingRoutes.tick)
  tick(
    @Param('experimentId') id: string,
    @Body() body: TickRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<TickView[]> {
    return this.ticks.tick(id, body, teacher.displayName, null);
  }

  @Operation(sowingRoutes.noteSowing)
  async note(
    @Param('experimentId') id: string,
    @Body() body: SowingNoteRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<ExperimentView> {
    await this.ticks.note(id, body);
    return this.plans.view(id, teacher);
  }
}
