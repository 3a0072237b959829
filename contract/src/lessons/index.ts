import { json, request, route } from '../shared/index.ts';
import type { LessonRequest, LessonView, ShowingRequest, ShowingView } from './lesson-parts.ts';
import type { PollRequest, PollView, StudentPollView, VoteRequest } from './votes.ts';

export {
  BoardPart,
  LessonDocument,
  LessonRequest,
  type LessonView,
  ShowingRequest,
  type ShowingView,
} from './lesson-parts.ts';
export { PollRequest, type PollView, type StudentPollView, VoteRequest } from './votes.ts';

/** Lessons, what is shown of them, and votes of the class. */
export const lessonRoutes = {
  lesson: route({
    method: 'GET',
    path: '/experiments/:experimentId/lesson',
    summary: 'The boards of the lesson, and what is shown now',
    access: 'see',
    answer: json<LessonView>(),
  }),
  saveLesson: route({
    method: 'PUT',
    path: '/experiments/:experimentId/lesson',
    summary: 'Keep the boards of a lesson',
    access: 'change',
    body: request<LessonRequest>('LessonRequest'),
    answer: json<LessonView>(),
    maxBytes: 262_144,
  }),
  showBoard: route({
    method: 'PUT',
    path: '/experiments/:experimentId/lesson/showing',
    summary: 'Show a board; the first one begins the lesson',
    access: 'change',
    body: request<ShowingRequest>('ShowingRequest'),
    answer: json<ShowingView>(),
  }),
  endLesson: route({
    method: 'DELETE',
    path: '/experiments/:experimentId/lesson/showing',
    summary: 'End the lesson; its boards stay',
    access: 'change',
  }),
  poll: route({
    method: 'GET',
    path: '/experiments/:experimentId/polls/:pollId',
    summary: 'A poll with how many chose what',
    access: 'see',
    answer: json<PollView>(),
  }),
  keepPoll: route({
    method: 'PUT',
    path: '/experiments/:experimentId/polls/:pollId',
    summary: 'Ask the class, close the vote, or count hands',
    access: 'change',
    body: request<PollRequest>('PollRequest'),
    answer: json<PollView>(),
  }),
  studentPoll: route({
    method: 'GET',
    path: '/device/polls',
    summary: 'What the class is asked now: none or one',
    access: 'student',
    answer: json<StudentPollView[]>(),
  }),
  keepOwnVote: route({
    method: 'PUT',
    path: '/device/votes/:voteId',
    summary: 'The vote of the student who chose a picture; the newest counts',
    access: 'student',
    body: request<VoteRequest>('VoteRequest'),
  }),
} as const;
