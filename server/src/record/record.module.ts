import { Module } from '@nestjs/common';
import { ReadingsService } from './readings.service.ts';
import { RecordController } from './record.controller.ts';

/** Readings. */
@Module({ controllers: [RecordController], providers: [ReadingsService], exports: [ReadingsService] })
export class RecordModule {}
