import { Module } from '@nestjs/common';
import { JournalController } from './journal.controller.ts';
import { JournalService } from './journal.service.ts';

/** Photos, drawings and sentences. */
@Module({ controllers: [JournalController], providers: [JournalService], exports: [JournalService] })
export class JournalModule {}
