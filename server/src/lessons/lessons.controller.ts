import {
  lessonRoutes,
  LessonRequest,
  type LessonView,
  PollRequest,
  type PollView,
  ShowingRequest,
  type ShowingView,
  type StudentPollView,
  VoteRequest,
} from '@bright-sprout/contract/lessons';
import { Body, Controller, Param } from '@nestjs/common';
import { Operation } from '../shared/index.ts';
import { CurrentDevice, type JoinedDevice } from '../student/index.ts';
import { LessonsService } from './lessons.service.ts';
import { PollsService } from './polls.service.ts';

/** Lessons and votes. */
@Controller()
export class LessonsController {
  constructor(
    private readonly lessons: LessonsService,
    private readonly polls: PollsService,
  ) {}

  @Operation(lessonRoutes.lesson)
  lesson(@Param('experimentId') id: string): Promise<LessonView> {
    return this.lessons.lesson(id);
  }

  @Operation(lessonRoutes.saveLesson)
  save(@Param('experimentId') id: string, @Body() body: LessonRequest): Promise<LessonView> {
    return this.lessons.save(id, body);
  }

  @Operation(lessonRoutes.showBoard)
  show(@Param('experimentId') id: string, @Body() body: ShowingRequest): Promise<ShowingView> {
    return this.lessons.show(id, body);
  }

  @Operation(lessonRoutes.endLesson)
  end(@Param('experimentId') id: string): Promise<void> {
    return this.lessons.end(id);
  }

  @Operation(lessonRoutes.poll)
  poll(@Param('experimentId') id: string, @Param('pollId') pollId: string): Promise<PollView> {
    return this.polls.poll(id, pollId);
  }

  @Operation(lessonRoutes.keepPoll)
  keepPoll(
    @Param('experimentId') id: string,
    @Param('pollId') pollId: string,
    @Body() body: PollRequest,
  ): Promise<PollView> {
    return this.polls.keep(id, pollId, body);
  }

  @Operation(lessonRoutes.studentPoll)
  ofStudent(@CurrentDevice() device: JoinedDevice): Promise<StudentPollView[]> {
    return this.polls.ofStudent(device);
  }

  @Operation(lessonRoutes.keepOwnVote)
  vote(
    @CurrentDevice() device: JoinedDevice,
    @Param('voteId') voteId: string,
    @Body() body: VoteRequest,
  ): Promise<void> {
    return this.polls.vote(device, voteId, body);
  }
}
