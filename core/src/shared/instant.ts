import { isCalendarDay } from './calendar-day.ts';

const SHAPE = /^(\d{4}-\d{2}-\d{2})T([01]\d|2[0-3]):[0-5]\d:[0-5]\d(\.\d{1,9})?(Z|[+-](0\d|1[0-4]):[0-5]\d)$/;
const FIRST_DAY = '1970-01-02';
const LAST_DAY = '2199-12-30';

/**
 * True for an instant of RFC 3339 such as `2026-03-02T09:30:00Z` that exists, in the years 1970 to 2199. Other forms of
 * ISO 8601 (weeks, no separators, no zone) are read differently by different programs.
 */
export function isInstant(value: unknown): value is string {
  const day = typeof value === 'string' ? SHAPE.exec(value)?.[1] : undefined;
  return isCalendarDay(day) && day >= FIRST_DAY && day <= LAST_DAY;
}
