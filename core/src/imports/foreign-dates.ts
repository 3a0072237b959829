import { say } from '@bright-sprout/words/imports';
import { addDays, calendarDay, type CalendarDay, isCalendarDay } from '../shared/index.ts';

/** How dates of numbers alone are meant, where the year does not come first. */
export const DATE_ORDERS = ['dmy', 'mdy'] as const;
export type DateOrder = (typeof DATE_ORDERS)[number];

/** What a date must look like, in words. */
export const EXPECTED_DATE = say('aDateWithItsYearSuchAs');

const TIME = /[T ]\d{1,2}:\d{2}(:\d{2})?(\.\d+)?\s*(am|pm)?(Z|[+-]\d{2}:?\d{2})?$/i;
const LANGUAGES = ['en', 'de', 'fr', 'es', 'it', 'nl', 'pt'];
const MONTHS = monthNames();
const SERIAL_DAY = { day: calendarDay('2000-01-01'), number: 36_526 };
/** Numbers between these are days as spreadsheets count them, of the years 1982 to 2064. */
const SERIALS = [30_000, 60_000] as const;

/**
 * A date with its year: year first, by the name of the month, or by numbers in the order given. A time of day is
 * dropped. Undefined for anything else, and for days that no calendar has.
 */
export function dateOf(text: string, order: DateOrder): CalendarDay | undefined {
  const day = text.replace(TIME, '').trim();
  const yearFirst = /^(\d{4})([./-]?)(\d{1,2})\2(\d{1,2})$/.exec(day);
  if (yearFirst) return checked(yearFirst[1], yearFirst[3], yearFirst[4]);
  const numbers = /^(\d{1,2})[./-](\d{1,2})[./-](\d{2}|\d{4})$/.exec(day);
  if (numbers) {
    const [, first, second, year] = numbers;
    return order === 'dmy' ? checked(year, second, first) : checked(year, first, second);
  }
  const dayFirst =
    /^(?:\p{L}+\.?,?\s+)?(\d{1,2})(?:st|nd|rd|th|\.)?[\s-]*(?:de\s+)?(\p{L}{3,12})\.?,?[\s-]*(?:de\s+)?(\d{2}|\d{4})$/u.exec(
      day,
    );
  if (dayFirst) return checked(dayFirst[3], monthOf(dayFirst[2]), dayFirst[1]);
  const monthFirst =
    /^(?:\p{L}+\.?,\s+)?(\p{L}{3,12})\.?[\s-]*(\d{1,2})(?:st|nd|rd|th)?,?[\s-]+(\d{2}|\d{4})$/u.exec(day);
  if (monthFirst) return checked(monthFirst[3], monthOf(monthFirst[1]), monthFirst[2]);
  return undefined;
}

/** A date, also as the number that a spreadsheet keeps of it. For cells that are known to hold dates. */
export function dateOrSerial(text: string, order: DateOrder): CalendarDay | undefined {
  const serial = /^\d{5}([.,]\d+)?$/.test(text) ? Math.floor(Number(text.replace(',', '.'))) : 0;
  return serial >= SERIALS[0] && serial <= SERIALS[1]
    ? addDays(SERIAL_DAY.day, serial - SERIAL_DAY.number)
    : dateOf(text, order);
}

/** True for a date in whichever order. */
export function isDate(text: string): boolean {
  return dateOf(text, 'dmy') !== undefined || dateOf(text, 'mdy') !== undefined;
}

/**
 * Days since sowing: `12`, `day 12`, `D12`, `week 2`; parts of a day are kept. Undefined for anything else and for
 * more days than {@link MOST_DAYS}.
 */
export function dayNumberOf(text: string): number | undefined {
  const [, week, number] =
    /^(?:(week|wk|w)|day|d|t)?[\s.#_-]*(\d{1,5}(?:[.,]\d+)?)\s*(?:d|days?)?$/i.exec(text) ?? [];
  if (number === undefined) return undefined;
  const days = Number(number.replace(',', '.')) * (week === undefined ? 1 : 7);
  return days <= MOST_DAYS ? days : undefined;
}

/** The most days from sowing to a reading: ten years. */
export const MOST_DAYS = 3660;

function checked(year = '', month = '', day = ''): CalendarDay | undefined {
  const whole = year.length === 2 ? `20${year}` : year;
  const found = `${whole}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`;
  return isCalendarDay(found) ? found : undefined;
}

function monthOf(name = ''): string | undefined {
  const month = MONTHS.get(name.toLowerCase().replaceAll('.', ''));
  return month === undefined ? '' : String(month);
}

/** Long and short names of the months in a few languages, as the platform knows them. */
function monthNames(): ReadonlyMap<string, number> {
  const names = new Map<string, number>([['sept', 9]]);
  for (const language of LANGUAGES) {
    for (const style of ['long', 'short'] as const) {
      const format = new Intl.DateTimeFormat(language, { month: style, timeZone: 'UTC' });
      for (let month = 1; month <= 12; month += 1) {
        const name = format.format(new Date(Date.UTC(2026, month - 1, 15)));
        names.set(name.toLowerCase().replaceAll('.', ''), month);
      }
    }
  }
  return names;
}
