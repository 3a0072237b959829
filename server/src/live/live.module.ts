import { Module } from '@nestjs/common';
import { ChangesFeed } from './changes-feed.ts';
import { LiveController } from './live.controller.ts';

/** News as it happens. */
@Module({ controllers: [LiveController], providers: [ChangesFeed] })
export class LiveModule {}
