import { say } from '@bright-sprout/words/interface';
import { addDays, calendarDay } from '@bright-sprout/core/shared';
import { format, parseISO } from 'date-fns';

/** `Mon 23 Nov` */
export function shortDay(day: string): string {
  return format(parseISO(day), 'EEE d MMM');
}

/** `Monday 23 November 2026` */
export function longDay(day: string): string {
  return format(parseISO(day), 'EEEE d MMMM yyyy');
}

/** `Nov` */
export function monthOf(day: string): string {
  return format(parseISO(day), 'MMM');
}

/** `Mon` when within a week before `day`, else `23 Nov`. */
export function recentDay(earlier: string, day: string): string {
  const isRecent = earlier > addDays(calendarDay(day), -7);
  return format(parseISO(earlier), isRecent ? 'EEEE' : 'd MMM');
}

/** `in 3 days`, `today`, `tomorrow`, `2 days ago` */
export function inDaysText(days: number): string {
  if (days === 0) return say('today');
  if (days === 1) return 'tomorrow';
  if (days === -1) return 'yesterday';
  return days > 0 ? say('inDays', { days }) : say('daysAgo', { days: -days });
}
