import { Module } from '@nestjs/common';
import { ComparisonController } from './comparison.controller.ts';
import { ComparisonFactsService } from './comparison-facts.ts';
import { ComparisonService } from './comparison.service.ts';
import { StudyService } from './study.service.ts';
import { PlansModule } from '../plans/index.ts';

/** Comparisons. */
@Module({
  imports: [PlansModule],
  controllers: [ComparisonController],
  providers: [ComparisonService, ComparisonFactsService, StudyService],
})
export class ComparisonModule {}
