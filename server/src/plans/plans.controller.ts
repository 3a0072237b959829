import {
  ClassOfExperimentRequest,
  DescriptionRequest,
  type ExperimentView,
  FinishRequest,
  LayoutRequest,
  PlanRequest,
  planRoutes,
  RunRequest,
  StartRequest,
  UnitRequest,
} from '@bright-sprout/contract/plans';
import { Body, Controller, Param } from '@nestjs/common';
import { CurrentTeacher, type KnownTeacher } from '../accounts/index.ts';
import { Operation } from '../shared/index.ts';
import { ClassOfExperiment } from './class-of-experiment.service.ts';
import { PlansService } from './plans.service.ts';

/** Plans. */
@Controller()
export class PlansController {
  constructor(
    private readonly plans: PlansService,
    private readonly classOf: ClassOfExperiment,
  ) {}

  @Operation(planRoutes.start)
  start(
    @Param('newExperimentId') id: string,
    @Body() body: StartRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<ExperimentView> {
    return this.plans.start(id, body, teacher);
  }

  @Operation(planRoutes.experiment)
  experiment(
    @Param('experimentId') id: string,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<ExperimentView> {
    return this.plans.view(id, teacher);
  }

  @Operation(planRoutes.savePlan)
  savePlan(
    @Param('experimentId') id: string,
    @Body() body: PlanRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<ExperimentView> {
    return this.plans.savePlan(id, body, teacher);
  }

  @Operation(planRoutes.describe)
  describe(
    @Param('experimentId') id: string,
    @Body() body: DescriptionRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<ExperimentView> {
    return this.plans.describe(id, body, teacher);
  }

  @Operation(planRoutes.arrange)
  arrange(
    @Param('experimentId') id: string,
    @Body() body: LayoutRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<ExperimentView> {
    return this.plans.arrange(id, body, teacher);
  }

  @Operation(planRoutes.copy)
  copy(
    @Param('experimentId') fromId: string,
    @Param('newExperimentId') id: string,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<ExperimentView> {
    return this.plans.copy(fromId, id, teacher);
  }

  @Operation(planRoutes.giveToClass)
  async giveToClass(
    @Param('experimentId') id: string,
    @Body() body: ClassOfExperimentRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<ExperimentView> {
    await this.classOf.give(id, body, teacher);
    return this.plans.view(id, teacher);
  }

  @Operation(planRoutes.addUnit)
  addUnit(
    @Param('experimentId') id: string,
    @Param('newUnitId') unitId: string,
    @Body() body: UnitRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<ExperimentView> {
    return this.plans.addUnit(id, unitId, body, teacher);
  }

  @Operation(planRoutes.finish)
  finish(
    @Param('experimentId') id: string,
    @Body() body: FinishRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<ExperimentView> {
    return this.plans.finish(id, body.finished, teacher);
  }

  @Operation(planRoutes.discard)
  discard(@Param('experimentId') id: string): Promise<void> {
    return this.plans.setDiscarded(id, true);
  }

  @Operation(planRoutes.putBack)
  putBack(@Param('experimentId') id: string): Promise<void> {
    return this.plans.setDiscarded(id, false);
  }

  @Operation(planRoutes.runInClass)
  runInClass(
    @Param('experimentId') id: string,
    @Param('newExperimentId') newId: string,
    @Body() body: RunRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<ExperimentView> {
    return this.classOf.run(id, newId, body.classId, teacher);
  }
}
