import { LANGUAGE } from '@bright-sprout/words/say';
import { addDays, calendarDay } from '@bright-sprout/core/shared';

const SHORT = dayFormat({ weekday: 'short', day: 'numeric', month: 'short' });
const LONG = dayFormat({ weekday: 'long', day: 'numeric', month: 'long', year: 'numeric' });
const MONTH = dayFormat({ month: 'short' });
const WEEKDAY = dayFormat({ weekday: 'long' });
const DAY = dayFormat({ day: 'numeric', month: 'short' });
const A_MONDAY = calendarDay('2026-01-05');
const relative = new Intl.RelativeTimeFormat(LANGUAGE, { numeric: 'auto' });

/** Says a calendar day; without commas, as days stand in lists. */
function dayFormat(options: Intl.DateTimeFormatOptions): (day: string) => string {
  const format = new Intl.DateTimeFormat(LANGUAGE, { ...options, timeZone: 'UTC' });
  return (day) => format.format(new Date(`${day}T00:00:00Z`)).replaceAll(',', '');
}

/** `Mon` to `Sun` */
export const WEEKDAYS: readonly string[] = Array.from({ length: 7 }, (_, at) =>
  dayFormat({ weekday: 'short' })(addDays(A_MONDAY, at)),
);

/** `Mon 23 Nov` */
export function shortDay(day: string): string {
  return SHORT(day);
}

/** `Mon 23 Nov`, with its year where that is not this year's. */
export function dayOfYear(day: string, today: string): string {
  const year = day.slice(0, 4);
  return year === today.slice(0, 4) ? shortDay(day) : `${shortDay(day)} ${year}`;
}

/** `Monday 23 November 2026` */
export function longDay(day: string): string {
  return LONG(day);
}

/** `Nov` */
export function monthOf(day: string): string {
  return MONTH(day);
}

/** `Monday` when within a week before `day`, else `23 Nov`. */
export function recentDay(earlier: string, day: string): string {
  const isRecent = earlier > addDays(calendarDay(day), -7);
  return isRecent ? WEEKDAY(earlier) : DAY(earlier);
}

/** `in 3 days`, `today`, `tomorrow`, `2 days ago` */
export function inDaysText(days: number): string {
  return relative.format(days, 'day');
}
