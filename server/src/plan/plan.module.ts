import { Module } from '@nestjs/common';
import { ExperimentStore } from './experiment-store.ts';
import { PlanController } from './plan.controller.ts';
import { PlanService } from './plan.service.ts';

/** Crops and plans. */
@Module({
  controllers: [PlanController],
  providers: [PlanService, ExperimentStore],
  exports: [PlanService, ExperimentStore],
})
export class PlanModule {}
