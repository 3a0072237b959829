import { Module } from '@nestjs/common';
import { RecordModule } from '../record/index.ts';
import { ChangesFeed } from './changes-feed.ts';
import { LiveController } from './live.controller.ts';

/** News as it happens. */
@Module({ imports: [RecordModule], controllers: [LiveController], providers: [ChangesFeed] })
export class LiveModule {}
