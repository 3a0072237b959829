export { type Week, weeksOf } from './weeks.ts';
export {
  DRAFTED_BOARDS,
  type Board,
  BOARD_KINDS,
  type BoardKind,
  type Lesson,
  lessonMinutes,
  MOST_BOARD_MINUTES,
  MOST_BOARD_PICTURES,
  MOST_BOARDS,
  MOST_WATCHED,
  plainBoard,
} from './board.ts';
export { type DraftFacts, draftLesson, usualMinutes } from './draft-lesson.ts';
export {
  type Extreme,
  type Firsts,
  firstsOf,
  NOT_UP_REASONS,
  type NotUpFacts,
  type NotUpReason,
  notUpReasons,
} from './firsts.ts';
export { LINE_UP_ORDERS, lineUp, type LineUpOrder } from './line-up.ts';
export {
  type LessonUnit,
  measured,
  type MeasuredPlant,
  type PlantOnDay,
  plantOnDay,
  type PlantState,
} from './plant-on-day.ts';
export { type PlantStory, plantStory, type WatchedRow, watchedRows } from './story.ts';
export { type Guessed, type TalkFacts } from './talk/talk-facts.ts';
export { type TalkCode, type TalkOf, type TalkPoint } from './talk/talk-point.ts';
export { talkPoints } from './talk/talk-points.ts';
