import { type CalendarDay, daysBetween, defined, notDefined, type Outcome } from '../shared/index.ts';
import type { UnitDay } from './unit-day.ts';

/** The change between two readings of the same unit. */
export interface Change {
  /** Signed, in the variable's base unit. */
  readonly amount: number;
  readonly days: number;
  /** `amount` ÷ `days`. */
  readonly perDay: number;
  readonly since: CalendarDay;
  readonly before: number;
}

/** The last finding with a value before `day`. */
export function lastValueBefore(history: readonly UnitDay[], day: CalendarDay): UnitDay | undefined {
  return history.filter((finding) => finding.day < day && finding.value !== null).at(-1);
}

/**
 * Change from the last earlier value to `value` on `day`. Undefined at the first value: there is nothing to
 * compare it with, and "not up yet" is not a height.
 * @param history the unit's findings in day order
 */
export function changeSinceLast(
  history: readonly UnitDay[],
  day: CalendarDay,
  value: number,
): Outcome<Change> {
  const last = lastValueBefore(history, day);
  if (last?.value == null) return notDefined('first_reading');
  const days = daysBetween(last.day, day);
  const amount = value - last.value;
  return defined({ amount, days, perDay: amount / days, since: last.day, before: last.value });
}
