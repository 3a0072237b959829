import type { CalendarDay } from '../shared/index.ts';
import { type PlanCalendar, TASK_CODES, type TaskCode } from './calendar.ts';

/** A day of a task that is another than it was: `from` is null for one that came, `to` for one that went. */
export interface MovedDay {
  readonly task: TaskCode;
  readonly from: CalendarDay | null;
  readonly to: CalendarDay | null;
}

/**
 * What differs between two calendars of one plan, as when its class meets on other days: the days of each kind of task
 * that went, each with the one that came in its place, in order.
 */
export function movedDays(
  before: Pick<PlanCalendar, 'tasks'>,
  after: Pick<PlanCalendar, 'tasks'>,
): MovedDay[] {
  return TASK_CODES.flatMap((task) => {
    const [were, are] = [before, after].map(({ tasks }) => [
      ...new Set(tasks.flatMap(({ code, day }) => (code === task ? [day] : []))),
    ]) as [CalendarDay[], CalendarDay[]];
    const went = were.filter((day) => !are.includes(day)).sort();
    const came = are.filter((day) => !were.includes(day)).sort();
    return Array.from({ length: Math.max(went.length, came.length) }, (_, at) => ({
      task,
      from: went[at] ?? null,
      to: came[at] ?? null,
    }));
  });
}
