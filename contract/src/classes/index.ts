export * from './class.ts';
export { ClassDaysPart, HolidayPart } from './class-days.ts';
export { classRoutes } from './routes.ts';
