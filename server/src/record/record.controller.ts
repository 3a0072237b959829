import { ReadingRequest, type ReadingView, recordRoutes } from '@bright-sprout/contract/record';
import { Body, Controller, Param } from '@nestjs/common';
import { CurrentTeacher, type KnownTeacher } from '../people/index.ts';
import { Operation } from '../shared/index.ts';
import { ReadingsService } from './readings.service.ts';

/** Readings. */
@Controller()
export class RecordController {
  constructor(private readonly readings: ReadingsService) {}

  @Operation(recordRoutes.readings)
  all(@Param('experimentId') experimentId: string): Promise<ReadingView[]> {
    return this.readings.all(experimentId);
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
}
