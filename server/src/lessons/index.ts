export { LessonRow, Poll, Vote } from './lesson.entities.ts';
export { LessonsModule } from './lessons.module.ts';
