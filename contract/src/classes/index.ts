export { ClassRequest, ClassView, MOST_STUDENTS, RosterRequest, StudentPart, TeamPart } from './class.ts';
export { HolidayPart } from './holiday.ts';
export { classRoutes } from './routes.ts';
