import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/index.ts';
import { RightsService } from './rights.service.ts';
import { SharesService } from './shares.service.ts';
import { SharingController } from './sharing.controller.ts';

/** Co-teachers of classes and experiments. */
@Module({
  imports: [AccountsModule],
  controllers: [SharingController],
  providers: [SharesService, RightsService],
  exports: [RightsService],
})
export class SharingModule {}
