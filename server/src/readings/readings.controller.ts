import { say } from '@bright-sprout/words/refusals';
import type { ExperimentView } from '@bright-sprout/contract/plans';
import {
  CloseDayRequest,
  ReadingRequest,
  type ReadingView,
  readingRoutes,
  SetAsideRequest,
} from '@bright-sprout/contract/readings';
import { isCalendarDay } from '@bright-sprout/core/shared';
import { Body, Controller, Param, StreamableFile } from '@nestjs/common';
import { CurrentTeacher, type KnownTeacher } from '../accounts/index.ts';
import { PlansService } from '../plans/index.ts';
import { HeavyWork, jsonFile, invalidField, Operation } from '../shared/index.ts';
import { recordTasks } from './heavy-tasks.ts';
import { ReadingsService } from './readings.service.ts';

/** Readings. */
@Controller()
export class ReadingsController {
  constructor(
    private readonly readings: ReadingsService,
    private readonly plans: PlansService,
    private readonly heavy: HeavyWork,
  ) {}

  @Operation(readingRoutes.readings)
  async all(@Param('experimentId') experimentId: string): Promise<StreamableFile> {
    return jsonFile(await this.heavy.bytes(recordTasks.readings, experimentId));
  }

  @Operation(readingRoutes.keepReading)
  keep(
    @Param('experimentId') experimentId: string,
    @Param('readingId') readingId: string,
    @Body() body: ReadingRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<ReadingView> {
    return this.readings.keep(experimentId, readingId, body, teacher);
  }

  @Operation(readingRoutes.setAside)
  setAside(
    @Param('experimentId') experimentId: string,
    @Param('readingId') readingId: string,
    @Body() body: SetAsideRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<ReadingView> {
    return this.readings.setAside(experimentId, readingId, body.reason, teacher.displayName);
  }

  @Operation(readingRoutes.putReadingBack)
  putBack(
    @Param('experimentId') experimentId: string,
    @Param('readingId') readingId: string,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<ReadingView> {
    return this.readings.putBack(experimentId, readingId, teacher.displayName);
  }

  @Operation(readingRoutes.closeDay)
  async closeDay(
    @Param('experimentId') experimentId: string,
    @Param('dayKey') day: string,
    @Body() body: CloseDayRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<ExperimentView> {
    if (!isCalendarDay(day)) throw invalidField('dayKey', say('giveADateThatExistsAsYyyy'));
    await this.readings.closeDay(experimentId, day, body.isClosed, teacher.displayName);
    return this.plans.view(experimentId, teacher);
  }
}
