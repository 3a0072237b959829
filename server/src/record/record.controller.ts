import type { ExperimentView } from '@bright-sprout/contract/plan';
import {
  CloseDayRequest,
  ReadingRequest,
  type ReadingView,
  recordRoutes,
  SetAsideRequest,
} from '@bright-sprout/contract/record';
import { isCalendarDay } from '@bright-sprout/core/shared';
import { Body, Controller, Param, StreamableFile } from '@nestjs/common';
import { CurrentTeacher, type KnownTeacher } from '../people/index.ts';
import { PlanService } from '../plan/index.ts';
import { HeavyWork, jsonFile, invalidField, Operation } from '../shared/index.ts';
import { recordTasks } from './heavy-tasks.ts';
import { ReadingsService } from './readings.service.ts';

/** Readings. */
@Controller()
export class RecordController {
  constructor(
    private readonly readings: ReadingsService,
    private readonly plans: PlanService,
    private readonly heavy: HeavyWork,
  ) {}

  @Operation(recordRoutes.readings)
  async all(@Param('experimentId') experimentId: string): Promise<StreamableFile> {
    return jsonFile(await this.heavy.bytes(recordTasks.readings, experimentId));
  }

  @Operation(recordRoutes.keepReading)
  keep(
    @Param('experimentId') experimentId: string,
    @Param('readingId') readingId: string,
    @Body() body: ReadingRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<ReadingView> {
    return this.readings.keep(experimentId, readingId, body, teacher);
  }

  @Operation(recordRoutes.setAside)
  setAside(
    @Param('experimentId') experimentId: string,
    @Param('readingId') readingId: string,
    @Body() body: SetAsideRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<ReadingView> {
    return this.readings.setAside(experimentId, readingId, body.reason, teacher.displayName);
  }

  @Operation(recordRoutes.putReadingBack)
  putBack(
    @Param('experimentId') experimentId: string,
    @Param('readingId') readingId: string,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<ReadingView> {
    return this.readings.putBack(experimentId, readingId, teacher.displayName);
  }

  @Operation(recordRoutes.closeDay)
  async closeDay(
    @Param('experimentId') experimentId: string,
    @Param('dayKey') day: string,
    @Body() body: CloseDayRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<ExperimentView> {
    if (!isCalendarDay(day)) throw invalidField('dayKey', 'Give a date that exists, as YYYY-MM-DD.');
    await this.readings.closeDay(experimentId, day, body.isClosed, teacher.displayName);
    return this.plans.view(experimentId, teacher);
  }
}
