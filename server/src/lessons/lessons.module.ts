import { Module } from '@nestjs/common';
import { StudentModule } from '../student/index.ts';
import { LessonsController } from './lessons.controller.ts';
import { LessonsService } from './lessons.service.ts';
import { PollsService } from './polls.service.ts';

/** Lessons and votes. */
@Module({
  imports: [StudentModule],
  controllers: [LessonsController],
  providers: [LessonsService, PollsService],
})
export class LessonsModule {}
