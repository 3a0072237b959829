export { sowingWish } from './sowing-wish.ts';
export {
  type CalendarTask,
  type EmergenceBand,
  type PlanCalendar,
  planCalendar,
  readingDays,
  TASK_CODES,
  type TaskCode,
} from './calendar.ts';
export {
  type ClassDays,
  classDayFrom,
  classDayUpTo,
  holidayOn,
  isClassDay,
  SCHOOL_DAYS,
} from './class-days.ts';
export { emergenceWindow, USUAL_ROOM_C } from './emergence.ts';
export {
  EXPERIMENT_STATUSES,
  type ExperimentStatus,
  isDueToday,
  type Job,
  type JobFacts,
  jobRank,
  nextJob,
} from './jobs.ts';
export { type MovedDay, movedDays } from './moved-days.ts';
export {
  type Readiness,
  readiness,
  type SowingAdvice,
  sowingAdvice,
  type SowingChoice,
} from './readiness.ts';
export { LONGEST_PLAN_DAYS, type TimelineDay, timelineDays, type TimelinePlan } from './timeline.ts';
export { calendarWithChanges, type ScheduledTask, type TaskChange } from './task-changes.ts';
export { type PlanSurroundings, type TreatmentGrowth, treatmentGrowth } from './treatment-growth.ts';
export { type Wait, waitBeforeSowing } from './waits.ts';
