import { compareRoutes, ComparisonQuery, type ComparisonView } from '@bright-sprout/contract/compare';
import { Controller, Param, Query } from '@nestjs/common';
import { Operation } from '../shared/index.ts';
import { ComparisonService } from './comparison.service.ts';

/** Comparisons. */
@Controller()
export class CompareController {
  constructor(private readonly comparisons: ComparisonService) {}

  @Operation(compareRoutes.comparison)
  comparison(@Param('experimentId') id: string, @Query() query: ComparisonQuery): Promise<ComparisonView> {
    return this.comparisons.compare(id, query);
  }
}
