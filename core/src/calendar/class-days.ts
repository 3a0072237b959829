import type { CalendarRules, Holiday } from '../design/index.ts';
import { addDays, type CalendarDay, weekday } from '../shared/index.ts';

/** When a class meets. */
export type ClassDays = Pick<CalendarRules, 'meetingDays' | 'holidays'>;

/** Monday to Friday without holidays. */
export const SCHOOL_DAYS: ClassDays = { meetingDays: [1, 2, 3, 4, 5], holidays: [] };

/** Days looked at before giving up on a class that never meets. */
const LONGEST_BREAK = 200;

/** The holiday that a day falls in; undefined when there is none. */
export function holidayOn(day: CalendarDay, rules: ClassDays): Holiday | undefined {
  return rules.holidays.find((holiday) => holiday.from <= day && day <= holiday.to);
}

/** True on a meeting day that is in no holiday. */
export function isClassDay(day: CalendarDay, rules: ClassDays): boolean {
  return rules.meetingDays.includes(weekday(day)) && holidayOn(day, rules) === undefined;
}

/** The first class day on or after `day`; `day` itself when there is none for 200 days. */
export function classDayFrom(day: CalendarDay, rules: ClassDays): CalendarDay {
  return search(day, 1, rules);
}

/** The last class day on or before `day`; `day` itself when there was none for 200 days. */
export function classDayUpTo(day: CalendarDay, rules: ClassDays): CalendarDay {
  return search(day, -1, rules);
}

function search(day: CalendarDay, step: 1 | -1, rules: ClassDays): CalendarDay {
  for (let away = 0; away <= LONGEST_BREAK; away += 1) {
    const candidate = addDays(day, step * away);
    if (isClassDay(candidate, rules)) return candidate;
  }
  return day;
}
