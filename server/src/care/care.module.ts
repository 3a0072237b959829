import { Module } from '@nestjs/common';
import { CareController } from './care.controller.ts';
import { CareService } from './care.service.ts';
import { LoggersService } from './loggers.service.ts';

/** Care of plants, and loggers. */
@Module({
  controllers: [CareController],
  providers: [CareService, LoggersService],
  exports: [CareService, LoggersService],
})
export class CareModule {}
