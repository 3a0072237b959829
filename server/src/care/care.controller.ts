import {
  CareRequest,
  careRoutes,
  type CareView,
  DeviceSamplesRequest,
  type LoggerKeyView,
  SamplesRequest,
  type SensorDayView,
  UndoCareRequest,
} from '@bright-sprout/contract/care';
import { Body, Controller, Param } from '@nestjs/common';
import { CurrentTeacher, type KnownTeacher } from '../accounts/index.ts';
import { Operation } from '../shared/index.ts';
import { CareService } from './care.service.ts';
import { LoggersService } from './loggers.service.ts';

/** Care of plants, and loggers. */
@Controller()
export class CareController {
  constructor(
    private readonly events: CareService,
    private readonly loggers: LoggersService,
  ) {}

  @Operation(careRoutes.care)
  all(@Param('experimentId') experimentId: string): Promise<CareView[]> {
    return this.events.all(experimentId);
  }

  @Operation(careRoutes.keepCare)
  keep(
    @Param('experimentId') experimentId: string,
    @Param('careId') careId: string,
    @Body() body: CareRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<CareView> {
    const { displayName, timeZone } = teacher;
    return this.events.keep(experimentId, careId, body, { displayName, timeZone });
  }

  @Operation(careRoutes.undoCare)
  undo(
    @Param('experimentId') experimentId: string,
    @Param('careId') careId: string,
    @Body() body: UndoCareRequest,
  ): Promise<CareView> {
    return this.events.undo(experimentId, careId, body.isUndone);
  }

  @Operation(careRoutes.loggerKey)
  async newKey(@Param('experimentId') experimentId: string): Promise<LoggerKeyView> {
    return { key: await this.loggers.newKey(experimentId) };
  }

  @Operation(careRoutes.sensorDays)
  days(
    @Param('experimentId') experimentId: string,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<SensorDayView[]> {
    return this.loggers.days(experimentId, teacher.timeZone);
  }

  @Operation(careRoutes.keepSamples)
  keepSamples(@Param('experimentId') experimentId: string, @Body() body: SamplesRequest): Promise<void> {
    return this.loggers.keep(experimentId, body.samples);
  }

  @Operation(careRoutes.streamSamples)
  async stream(@Body() { key, samples }: DeviceSamplesRequest): Promise<void> {
    await this.loggers.keep(await this.loggers.experimentOf(key), samples);
  }
}
