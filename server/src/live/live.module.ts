import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/index.ts';
import { StudentModule } from '../student/index.ts';
import { SharingModule } from '../sharing/index.ts';
import { ReadingsModule } from '../readings/index.ts';
import { ChangesFeed } from './changes-feed.ts';
import { LiveController } from './live.controller.ts';

/** News as it happens. */
@Module({
  imports: [ReadingsModule, AccountsModule, SharingModule, StudentModule],
  controllers: [LiveController],
  providers: [ChangesFeed],
})
export class LiveModule {}
