import { Module } from '@nestjs/common';
import { PlanModule } from '../plan/index.ts';
import { RecordModule } from '../record/index.ts';
import { UploadsModule } from '../uploads/index.ts';
import { BundleService } from './bundle.service.ts';
import { ExchangeController } from './exchange.controller.ts';
import { ExchangeService } from './exchange.service.ts';

/** Files in and out. */
@Module({
  imports: [PlanModule, RecordModule, UploadsModule],
  controllers: [ExchangeController],
  providers: [ExchangeService, BundleService],
  exports: [ExchangeService],
})
export class ExchangeModule {}
