import {
  compareRoutes,
  ComparisonQuery,
  type ComparisonView,
  StudyQuery,
  type StudyView,
} from '@bright-sprout/contract/compare';
import { Controller, Param, Query } from '@nestjs/common';
import { Operation } from '../shared/index.ts';
import { ComparisonService } from './comparison.service.ts';
import { StudyService } from './study.service.ts';

/** Comparisons. */
@Controller()
export class CompareController {
  constructor(
    private readonly comparisons: ComparisonService,
    private readonly studies: StudyService,
  ) {}

  @Operation(compareRoutes.comparison)
  comparison(@Param('experimentId') id: string, @Query() query: ComparisonQuery): Promise<ComparisonView> {
    return this.comparisons.compare(id, query);
  }

  @Operation(compareRoutes.study)
  study(@Param('experimentId') id: string, @Query() query: StudyQuery): Promise<StudyView> {
    return this.studies.of(id, query);
  }
}
