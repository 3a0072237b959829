import type { UnitDay } from '../growth/index.ts';
import { addDays, type CalendarDay } from '../shared/index.ts';
import type { LessonUnit } from './plant-on-day.ts';

const WEEK_DAYS = 7;

/** A week of an experiment as the youngest keep it: how many are up, and the tallest. */
export interface Week {
  /** From 1. */
  readonly number: number;
  readonly from: CalendarDay;
  /** Its last day. */
  readonly to: CalendarDay;
  /** Units whose last finding up to its end was a plant; `null` where none was read in it. */
  readonly up: number | null;
  /** The units that were tallest among what was read in it, with their value in the base unit; `null` for none. */
  readonly tallest: { readonly units: readonly LessonUnit[]; readonly value: number } | null;
}

/**
 * The weeks from sowing to a day, each of seven days, counted from the day of sowing.
 * @param histories findings of each unit in day order, by its id
 */
export function weeksOf(
  units: readonly LessonUnit[],
  histories: ReadonlyMap<string, readonly UnitDay[]>,
  sowOn: CalendarDay,
  until: CalendarDay,
): Week[] {
  const weeks: Week[] = [];
  for (let from = sowOn; from <= until; from = addDays(from, WEEK_DAYS)) {
    const to = addDays(from, WEEK_DAYS - 1);
    const upTo = (id: string): readonly UnitDay[] =>
      (histories.get(id) ?? []).filter(({ day, state }) => day <= to && state !== 'not_read');
    const read = units.flatMap((unit) =>
      upTo(unit.id)
        .filter(({ day }) => day >= from)
        .map((finding) => ({ unit, finding })),
    );
    const values = read.flatMap(({ unit, finding: { value } }) => (value === null ? [] : [{ unit, value }]));
    const value = values.reduce((most, one) => Math.max(most, one.value), Number.NEGATIVE_INFINITY);
    const tallest = values.filter((one) => one.value === value).map(({ unit }) => unit);
    weeks.push({
      number: weeks.length + 1,
      from,
      to,
      up: read.length === 0 ? null : units.filter(({ id }) => upTo(id).at(-1)?.state === 'emerged').length,
      tallest: tallest.length === 0 ? null : { units: [...new Set(tallest)], value },
    });
  }
  return weeks;
}
