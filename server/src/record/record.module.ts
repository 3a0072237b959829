import { Module } from '@nestjs/common';
import { PlanModule } from '../plan/index.ts';
import { ReadingsService } from './readings.service.ts';
import { RecordController } from './record.controller.ts';

/** Readings. */
@Module({
  imports: [PlanModule],
  controllers: [RecordController],
  providers: [ReadingsService],
  exports: [ReadingsService],
})
export class RecordModule {}
