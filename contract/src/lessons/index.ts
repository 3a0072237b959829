import { change, see, student } from '../shared/index.ts';
import type { LessonRequest, LessonView, ShowingRequest, ShowingView } from './lesson-parts.ts';
import type { PollRequest, PollView, StudentPollView, VoteRequest } from './votes.ts';

export * from './lesson-parts.ts';
export { PollRequest, type PollView, type StudentPollView, VoteRequest } from './votes.ts';

/** Lessons, what is shown of them, and votes of the class. */
export const lessonRoutes = {
  lesson: see
    .get('/experiments/:experimentId/lesson', 'The boards of the lesson, and what is shown now')
    .answers<LessonView>(),
  saveLesson: change
    .put('/experiments/:experimentId/lesson', 'Keep the boards of a lesson')
    .takes<LessonRequest>('LessonRequest', 262_144)
    .answers<LessonView>(),
  showBoard: change
    .put('/experiments/:experimentId/lesson/showing', 'Show a board; the first one begins the lesson')
    .takes<ShowingRequest>('ShowingRequest')
    .answers<ShowingView>(),
  endLesson: change.remove('/experiments/:experimentId/lesson/showing', 'End the lesson; its boards stay'),
  poll: see
    .get('/experiments/:experimentId/polls/:pollId', 'A poll with how many chose what')
    .answers<PollView>(),
  keepPoll: change
    .put('/experiments/:experimentId/polls/:pollId', 'Ask the class, close the vote, or count hands')
    .takes<PollRequest>('PollRequest')
    .answers<PollView>(),
  studentPoll: student
    .get('/device/polls', 'What the class is asked now: none or one')
    .answers<StudentPollView[]>(),
  keepOwnVote: student
    .put('/device/votes/:voteId', 'The vote of the student who chose a picture; the newest counts')
    .takes<VoteRequest>('VoteRequest'),
} as const;
