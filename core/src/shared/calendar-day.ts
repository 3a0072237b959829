/**
 * A plain date of the proleptic Gregorian calendar, `YYYY-MM-DD`, without time or zone.
 * @format date
 */
export type CalendarDay = string & { readonly __brand: 'CalendarDay' };

const DAY_MS = 86_400_000;
const MOST_KNOWN = 4000;
/** Texts that were found to be days, and days as numbers: a day that was reckoned may lie beyond the years taken. */
const taken = new Set<string>();
const known = new Map<string, number>();
const SHAPE = /^(\d{4})-(\d{2})-(\d{2})$/;

/** True for a date that exists: `2024-02-29` yes, `2026-02-31` and `26-2-1` no. Years 1900 to 2199. */
export function isCalendarDay(text: unknown): text is CalendarDay {
  if (typeof text !== 'string') return false;
  if (taken.has(text)) return true;
  const match = SHAPE.exec(text);
  if (!match) return false;
  const year = Number(match[1]);
  if (year < 1900 || year > 2199) return false;
  const instant = new Date(`${text}T00:00:00Z`);
  if (Number.isNaN(instant.getTime()) || !instant.toISOString().startsWith(text)) return false;
  if (taken.size >= MOST_KNOWN) taken.clear();
  taken.add(text);
  return true;
}

/**
 * Reads a calendar day.
 * @throws RangeError when `text` is not a date that exists.
 */
export function calendarDay(text: string): CalendarDay {
  if (!isCalendarDay(text)) throw new RangeError(`expected a date as YYYY-MM-DD, found "${text}"`);
  return text;
}

/** Days since 1970-01-01; kept, as a class asks for the same few hundred days over and over. */
function toEpochDays(day: CalendarDay): number {
  const kept = known.get(day);
  if (kept !== undefined) return kept;
  const days = Date.UTC(Number(day.slice(0, 4)), Number(day.slice(5, 7)) - 1, Number(day.slice(8))) / DAY_MS;
  if (known.size >= MOST_KNOWN) known.clear();
  known.set(day, days);
  return days;
}

function fromEpochDays(days: number): CalendarDay {
  return new Date(days * DAY_MS).toISOString().slice(0, 10) as CalendarDay;
}

/** The day `count` whole days later (earlier when negative). */
export function addDays(day: CalendarDay, count: number): CalendarDay {
  return fromEpochDays(toEpochDays(day) + count);
}

/** Whole days from `start` to `end`; negative when `end` comes first. */
export function daysBetween(start: CalendarDay, end: CalendarDay): number {
  return toEpochDays(end) - toEpochDays(start);
}

/** ISO weekday: 1 Monday … 7 Sunday. */
export function weekday(day: CalendarDay): number {
  return ((((toEpochDays(day) + 3) % 7) + 7) % 7) + 1;
}

/** All days from `start` to `end`, both included; empty when `end` comes first. */
export function daysFromTo(start: CalendarDay, end: CalendarDay): CalendarDay[] {
  const count = daysBetween(start, end);
  return Array.from({ length: Math.max(0, count + 1) }, (_, index) => addDays(start, index));
}

/**
 * The calendar day that an instant falls on in a time zone.
 * @param instant milliseconds since 1970-01-01 UTC
 * @param timeZone IANA name
 * @throws RangeError for an unknown zone.
 */
export function dayInZone(instant: number, timeZone: string): CalendarDay {
  return calendarDay(dayFormat(timeZone).format(instant));
}

const formats = new Map<string, Intl.DateTimeFormat>();

/** Making a format costs far more than using it, so each zone's is kept. */
function dayFormat(timeZone: string): Intl.DateTimeFormat {
  const known = formats.get(timeZone);
  if (known) return known;
  const format = new Intl.DateTimeFormat('en-CA', {
    timeZone,
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
  });
  formats.set(timeZone, format);
  return format;
}
