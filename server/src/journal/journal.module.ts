import { Module } from '@nestjs/common';
import { JournalController } from './journal.controller.ts';
import { JournalService } from './journal.service.ts';
import { UploadsModule } from '../uploads/index.ts';

/** Photos, drawings and sentences. */
@Module({
  imports: [UploadsModule],
  controllers: [JournalController],
  providers: [JournalService],
  exports: [JournalService],
})
export class JournalModule {}
