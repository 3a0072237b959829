export {
  ClassRequest,
  type ClassView,
  OFFER_ERASURE_AFTER_DAYS,
  RosterRequest,
  StudentPart,
  TeamPart,
} from './class.ts';
export { ClassDaysPart, HolidayPart } from './class-days.ts';
export { classRoutes } from './routes.ts';
