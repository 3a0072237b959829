import { comparisonRoutes, ComparisonQuery, StudyQuery } from '@bright-sprout/contract/comparison';
import { Controller, Param, Query, StreamableFile } from '@nestjs/common';
import { CurrentTeacher, type KnownTeacher } from '../accounts/index.ts';
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
    @CurrentTeacher() { id: teacherId }: KnownTeacher,
  ): Promise<StreamableFile> {
    const asked = { experimentId, query: { ...query }, teacherId };
    return jsonFile(await this.heavy.bytes(comparisonTasks.study, asked));
  }
}
