export {
  ClassRequest,
  type ClassView,
  MOST_NAME_CHARACTERS,
  MOST_STUDENTS,
  RosterRequest,
  StudentPart,
  TeamPart,
} from './class.ts';
export { ClassDaysPart, HolidayPart } from './class-days.ts';
export { classRoutes } from './routes.ts';
