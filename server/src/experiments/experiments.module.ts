import { type ExperimentCard, experimentRoutes } from '@bright-sprout/contract/experiments';
import { Controller, Module } from '@nestjs/common';
import { CurrentTeacher, type KnownTeacher } from '../accounts/index.ts';
import { Operation } from '../shared/index.ts';
import { ExperimentsService } from './experiments.service.ts';

/** The experiments. */
@Controller()
export class ExperimentsController {
  constructor(private readonly experiments: ExperimentsService) {}

  @Operation(experimentRoutes.experiments)
  cards(@CurrentTeacher() teacher: KnownTeacher): Promise<ExperimentCard[]> {
    return this.experiments.cards(teacher);
  }
}

/** The experiments. */
@Module({ controllers: [ExperimentsController], providers: [ExperimentsService] })
export class ExperimentsModule {}
