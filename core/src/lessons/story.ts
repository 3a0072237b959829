import type { UnitDay } from '../growth/index.ts';
import { type CalendarDay, daysBetween } from '../shared/index.ts';
import type { LessonUnit } from './plant-on-day.ts';

const WEEK = 7;

/** The life of one plant until a day: days are since its own sowing. */
export interface PlantStory {
  readonly unit: LessonUnit;
  /** The day of the first look that found it up, and that of the last one before: it came up between the two. */
  readonly firstUp: { readonly age: number; readonly notUpAt: number | null } | null;
  /** The last value of each week from sowing. */
  readonly weeks: readonly { readonly week: number; readonly age: number; readonly value: number }[];
  readonly end: { readonly state: 'dead' | 'removed'; readonly age: number } | null;
}

/** The story of a plant that was sown; undefined for one that was not, whose days cannot be counted. */
export function plantStory(
  unit: LessonUnit,
  history: readonly UnitDay[],
  day: CalendarDay,
): PlantStory | undefined {
  const { sownOn } = unit;
  if (sownOn === null) return undefined;
  const ageOn = (on: CalendarDay): number => daysBetween(sownOn, on);
  const until = history.filter((finding) => finding.day <= day && finding.day >= sownOn);
  const upAt = until.findIndex((finding) => finding.state === 'emerged');
  const up = until[upAt];
  const before = until.slice(0, Math.max(0, upAt)).findLast((finding) => finding.state === 'not_emerged');
  const last = until.findLast((finding) => finding.state !== 'not_read');
  const weeks = new Map<number, { week: number; age: number; value: number }>();
  for (const { day: on, value } of until) {
    if (value === null) continue;
    const age = ageOn(on);
    const week = Math.max(1, Math.ceil(age / WEEK));
    weeks.set(week, { week, age, value });
  }
  const end = last?.state === 'dead' || last?.state === 'removed' ? last.state : null;
  const endedOn = end && until.find((finding) => finding.state === end)?.day;
  return {
    unit,
    firstUp: up ? { age: ageOn(up.day), notUpAt: before ? ageOn(before.day) : null } : null,
    weeks: [...weeks.values()],
    end: end && endedOn ? { state: end, age: ageOn(endedOn) } : null,
  };
}

/** A row of the table of a watched pot: the first change is blank, as there is nothing to compare with. */
export interface WatchedRow {
  readonly day: CalendarDay;
  readonly state: UnitDay['state'];
  readonly value: number | null;
  readonly change: number | null;
}

/** Every day on which a pot was looked at, with the change since its last value. */
export function watchedRows(history: readonly UnitDay[], day: CalendarDay): WatchedRow[] {
  let before: number | null = null;
  return history
    .filter((finding) => finding.day <= day)
    .map(({ day: on, state, value }) => {
      const change = value !== null && before !== null ? value - before : null;
      before = value ?? before;
      return { day: on, state, value, change };
    });
}
