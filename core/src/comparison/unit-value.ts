import {
  areaUnder,
  growthPerDay,
  type GrowthPoint,
  relativeGrowthRate,
  type UnitDay,
} from '../growth/index.ts';
import { type CalendarDay, daysBetween, type Outcome } from '../shared/index.ts';
import type { ComparedUnit, LeftOutReason, NotUpRule, Summary } from './types.ts';
import { valueUnder } from './value-under-rule.ts';

/** What a unit stands for in a comparison: one value, or the reason why it has none. */
export type UnitValue = { readonly isRead: boolean } & (
  | { readonly value: number; readonly isNotUp: boolean }
  | { readonly reason: LeftOutReason }
);

/** How units are reduced. */
export interface Reduction {
  readonly day: CalendarDay;
  readonly rule: NotUpRule;
  readonly summary: Summary;
}

/**
 * Reduces a unit to one value: its finding on the very day, or one figure of all its values from sowing to that
 * day. A unit that was dead or removed by then has none.
 * @param history the unit's findings in day order
 */
export function unitValue(
  { day, rule, summary }: Reduction,
  unit: ComparedUnit,
  history: readonly UnitDay[],
): UnitValue {
  let last: UnitDay | undefined;
  for (const finding of history) if (finding.day <= day) last = finding;
  const isLasting = last?.state === 'dead' || last?.state === 'removed';
  const isOfDay = last?.day === day || isLasting;
  if (!last || (summary === 'day' && !isOfDay)) return { isRead: false, reason: 'not_read' };
  if (summary === 'day' || isLasting) return ofFinding(last, rule, isOfDay);
  if (isStale(summary, last.day, day)) return { isRead: false, reason: 'read_long_ago' };
  const points = pointsUntil(history, unit.sownOn, day, rule);
  const figure = summed(summary, points);
  if (figure.defined) return { isRead: true, value: figure.value, isNotUp: false };
  const neverUp = points.length === 0 && last.state === 'not_emerged';
  return { isRead: true, reason: neverUp ? 'not_emerged' : 'too_few_values' };
}

/** A last value stands for a day as long as a weekend with a day on each side. */
export const OLD_AFTER_DAYS = 3;

/**
 * Whether a unit was last read too long before a day to stand for it: its last value by more than
 * {@link OLD_AFTER_DAYS}, the area under its values by any day, as areas up to different days cannot be compared.
 */
function isStale(summary: Summary, last: CalendarDay, day: CalendarDay): boolean {
  if (summary === 'area') return last < day;
  return summary === 'final' && daysBetween(last, day) > OLD_AFTER_DAYS;
}

function ofFinding(finding: UnitDay, rule: NotUpRule, isRead: boolean): UnitValue {
  const value = valueUnder(rule, finding);
  if (value !== undefined) return { isRead, value, isNotUp: finding.state === 'not_emerged' };
  return { isRead, reason: finding.state === 'emerged' ? 'up_without_value' : finding.state };
}

/** The values of a unit up to a day, by days since its sowing. */
export function pointsUntil(
  history: readonly UnitDay[],
  sownOn: CalendarDay | null,
  day: CalendarDay,
  rule: NotUpRule,
): GrowthPoint[] {
  if (sownOn === null) return [];
  return history.flatMap((finding) => {
    const value = finding.day <= day ? valueUnder(rule, finding) : undefined;
    return value === undefined ? [] : [{ age: daysBetween(sownOn, finding.day), value }];
  });
}

function summed(summary: Exclude<Summary, 'day'>, points: readonly GrowthPoint[]): Outcome<number> {
  switch (summary) {
    case 'final': {
      const last = points.at(-1);
      return last ? { defined: true, value: last.value } : { defined: false, reason: 'no_values' };
    }
    case 'growth_per_day':
      return growthPerDay(points);
    case 'relative_growth':
      return relativeGrowthRate(points);
    case 'area':
      return areaUnder(points);
  }
}
