import { Module } from '@nestjs/common';
import { ReadingsModule } from '../readings/index.ts';
import { ChangesFeed } from './changes-feed.ts';
import { LiveController } from './live.controller.ts';

/** News as it happens. */
@Module({ imports: [ReadingsModule], controllers: [LiveController], providers: [ChangesFeed] })
export class LiveModule {}
