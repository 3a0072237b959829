import { Module } from '@nestjs/common';
import { PlansModule } from '../plans/index.ts';
import { ReadingsService } from './readings.service.ts';
import { ReadingsController } from './readings.controller.ts';

/** Readings. */
@Module({
  imports: [PlansModule],
  controllers: [ReadingsController],
  providers: [ReadingsService],
  exports: [ReadingsService],
})
export class ReadingsModule {}
