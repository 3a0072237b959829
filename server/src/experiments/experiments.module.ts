import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/index.ts';
import { SharingModule } from '../sharing/index.ts';
import { ExperimentsController } from './experiments.controller.ts';
import { ExperimentsService } from './experiments.service.ts';
import { HandOverService } from './hand-over.service.ts';

/** The experiments, and who owns them. */
@Module({
  imports: [AccountsModule, SharingModule],
  controllers: [ExperimentsController],
  providers: [ExperimentsService, HandOverService],
})
export class ExperimentsModule {}
