import { comparisonRoutes, ComparisonQuery, StudyQuery } from '@bright-sprout/contract/comparison';
import { Controller, Param, Query, StreamableFile } from '@nestjs/common';
import { HeavyWork, jsonFile, Operation } from '../shared/index.ts';
import { comparisonTasks } from './heavy-tasks.ts';

/** Comparisons. */
@Controller()
export class ComparisonController {
  constructor(private readonly heavy: HeavyWork) {}

  @Operation(comparisonRoutes.comparison)
  async comparison(
    @Param('experimentId') experimentId: string,
    @Query() query: ComparisonQuery,
  ): Promise<StreamableFile> {
    return jsonFile(
      await this.heavy.bytes(comparisonTasks.comparison, { experimentId, query: { ...query } }),
    );
  }

  @Operation(comparisonRoutes.study)
  async study(
    @Param('experimentId') experimentId: string,
    @Query() query: StudyQuery,
  ): Promise<StreamableFile> {
    return jsonFile(await this.heavy.bytes(comparisonTasks.study, { experimentId, query: { ...query } }));
  }
}
