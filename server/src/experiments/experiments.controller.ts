import { type ExperimentCard, experimentRoutes, HandOverRequest } from '@bright-sprout/contract/experiments';
import { Body, Controller, Param } from '@nestjs/common';
import { CurrentTeacher, type KnownTeacher } from '../accounts/index.ts';
import { Operation } from '../shared/index.ts';
import { ExperimentsService } from './experiments.service.ts';
import { HandOverService } from './hand-over.service.ts';

/** The experiments, and who owns them. */
@Controller()
export class ExperimentsController {
  constructor(
    private readonly experiments: ExperimentsService,
    private readonly handOver: HandOverService,
  ) {}

  @Operation(experimentRoutes.experiments)
  cards(@CurrentTeacher() teacher: KnownTeacher): Promise<ExperimentCard[]> {
    return this.experiments.cards(teacher);
  }

  @Operation(experimentRoutes.handOverClass)
  handOverClass(
    @Param('classId') classId: string,
    @Body() { shareId }: HandOverRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<void> {
    return this.handOver.ofClass(classId, shareId, teacher);
  }

  @Operation(experimentRoutes.handOverExperiment)
  handOverExperiment(
    @Param('experimentId') experimentId: string,
    @Body() { shareId }: HandOverRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<void> {
    return this.handOver.ofExperiment(experimentId, shareId, teacher);
  }
}
