import { compareRoutes, ComparisonQuery, StudyQuery } from '@bright-sprout/contract/compare';
import { Controller, Param, Query, StreamableFile } from '@nestjs/common';
import { HeavyWork, jsonFile, Operation } from '../shared/index.ts';
import { compareTasks } from './heavy-tasks.ts';

/** Comparisons. */
@Controller()
export class CompareController {
  constructor(private readonly heavy: HeavyWork) {}

  @Operation(compareRoutes.comparison)
  async comparison(
    @Param('experimentId') experimentId: string,
    @Query() query: ComparisonQuery,
  ): Promise<StreamableFile> {
    return jsonFile(await this.heavy.bytes(compareTasks.comparison, { experimentId, query: { ...query } }));
  }

  @Operation(compareRoutes.study)
  async study(
    @Param('experimentId') experimentId: string,
    @Query() query: StudyQuery,
  ): Promise<StreamableFile> {
    return jsonFile(await this.heavy.bytes(compareTasks.study, { experimentId, query: { ...query } }));
  }
}
