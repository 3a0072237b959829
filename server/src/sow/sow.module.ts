import { Module } from '@nestjs/common';
import { PlanModule } from '../plan/index.ts';
import { SowController } from './sow.controller.ts';
import { SowingService } from './sowing.service.ts';
import { TicksService } from './ticks.service.ts';

/** Sowing. */
@Module({
  imports: [PlanModule],
  controllers: [SowController],
  providers: [SowingService, TicksService],
  exports: [TicksService],
})
export class SowModule {}
