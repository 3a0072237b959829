import { addDays, type CalendarDay, daysBetween, daysFromTo } from '../shared/index.ts';
import { type ClassDays, isClassDay, SCHOOL_DAYS } from './class-days.ts';

/** The most days from sowing to the lesson that a plan may have: a longer one has a slip in its year. */
export const LONGEST_PLAN_DAYS = 366;

/** The most days a timeline shows, whatever the dates of readings from a file. */
const LONGEST_TIMELINE_DAYS = 1200;

/** One notch of the timeline of days. */
export interface TimelineDay {
  readonly day: CalendarDay;
  /** Days since the sowing date of the plan; negative before it. */
  readonly age: number;
  readonly isClassDay: boolean;
  readonly isToday: boolean;
  /** Inside the crop's usual days to emergence. */
  readonly inEmergenceWindow: boolean;
}

/** What the timeline is made from. */
export interface TimelinePlan {
  readonly sowOn: CalendarDay;
  readonly lessonOn: CalendarDay;
  readonly today: CalendarDay;
  /** When seedlings are expected: one span for each sowing day. */
  readonly emergence: readonly { readonly from: CalendarDay; readonly to: CalendarDay }[];
  /** Days that hold readings; the timeline stretches to show them all. */
  readonly readDays: readonly CalendarDay[];
  /** When the class meets; Monday to Friday when left out. */
  readonly classDays?: ClassDays;
}

/** The days of the timeline: from sowing to the lesson, and as far as readings or a growing today reach. */
export function timelineDays(plan: TimelinePlan): TimelineDay[] {
  const start = [plan.sowOn, ...plan.readDays].reduce(earlier);
  const planned = [plan.lessonOn, ...plan.readDays].reduce(later);
  const end = earlier(later(planned, addDays(start, 1)), addDays(start, LONGEST_TIMELINE_DAYS));
  const rules = plan.classDays ?? SCHOOL_DAYS;
  return daysFromTo(start, end).map((day) => {
    const age = daysBetween(plan.sowOn, day);
    return {
      day,
      age,
      isClassDay: isClassDay(day, rules),
      isToday: day === plan.today,
      inEmergenceWindow: plan.emergence.some(({ from, to }) => day >= from && day <= to),
    };
  });
}

function earlier(a: CalendarDay, b: CalendarDay): CalendarDay {
  return a < b ? a : b;
}

function later(a: CalendarDay, b: CalendarDay): CalendarDay {
  return a > b ? a : b;
}
