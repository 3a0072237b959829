import { Module } from '@nestjs/common';
import { PlansModule } from '../plans/index.ts';
import { SowingController } from './sowing.controller.ts';
import { SowingService } from './sowing.service.ts';
import { TicksService } from './ticks.service.ts';

/** Sowing. */
@Module({
  imports: [PlansModule],
  controllers: [SowingController],
  providers: [SowingService, TicksService],
  exports: [TicksService],
})
export class SowingModule {}
