import { Module } from '@nestjs/common';
import { CompareController } from './compare.controller.ts';
import { ComparisonFactsService } from './comparison-facts.ts';
import { ComparisonService } from './comparison.service.ts';
import { DesignService } from './design.service.ts';
import { IdeasController } from './ideas.controller.ts';
import { IdeasService } from './ideas.service.ts';
import { StudentModule } from '../student/index.ts';
import { StudyService } from './study.service.ts';
import { PlanModule } from '../plan/index.ts';

/** Comparisons. */
@Module({
  imports: [PlanModule, StudentModule],
  controllers: [CompareController, IdeasController],
  providers: [ComparisonService, ComparisonFactsService, DesignService, StudyService, IdeasService],
})
export class CompareModule {}
