import type { CalendarDay, ReadingState } from '../shared/index.ts';

/** A reading that still counts: not superseded by a correction. Given in the order they were made. */
export interface ReadingFact {
  readonly unitId: string;
  readonly day: CalendarDay;
  readonly state: ReadingState;
  /** In base units (mm, a count, a plain number); `null` for a state without a value. */
  readonly value: number | null;
}

/** What one unit was found to be on one day. */
export interface UnitDay {
  readonly unitId: string;
  readonly day: CalendarDay;
  readonly state: ReadingState;
  readonly value: number | null;
  /** Readings behind the value; 2 when two people read the unit. */
  readonly readings: number;
}

/**
 * Reduces the readings of one unit on one day to one finding: the mean of the values when there are any,
 * else the state that was noted last. A "not read" counts only when nobody read the unit.
 */
export function reduceUnitDay(readings: readonly ReadingFact[]): UnitDay | undefined {
  let last: ReadingFact | undefined;
  let made = 0;
  let values = 0;
  let sum = 0;
  for (const reading of readings) {
    const isMade = reading.state !== 'not_read';
    if (isMade || made === 0) last = reading;
    if (!isMade) continue;
    made += 1;
    if (reading.value === null) continue;
    values += 1;
    sum += reading.value;
  }
  if (!last) return undefined;
  const { unitId, day, state } = last;
  if (values > 0) return { unitId, day, state: 'emerged', value: sum / values, readings: values };
  return { unitId, day, state, value: null, readings: made };
}

/** All findings, by unit in the order of first reading, each unit's in day order. */
export function unitDays(readings: readonly ReadingFact[]): Map<string, UnitDay[]> {
  const byUnitAndDay = new Map<string, Map<CalendarDay, [ReadingFact, ...ReadingFact[]]>>();
  for (const reading of readings) {
    const days = byUnitAndDay.get(reading.unitId) ?? new Map<CalendarDay, [ReadingFact, ...ReadingFact[]]>();
    if (days.size === 0) byUnitAndDay.set(reading.unitId, days);
    const group = days.get(reading.day);
    if (group) group.push(reading);
    else days.set(reading.day, [reading]);
  }
  return new Map([...byUnitAndDay].map(([unitId, days]) => [unitId, inDayOrder(days)]));
}

/** Days mostly come in their order already: a class of a year has too many to sort each pot's for nothing. */
function inDayOrder(days: ReadonlyMap<CalendarDay, readonly [ReadingFact, ...ReadingFact[]]>): UnitDay[] {
  const found: UnitDay[] = [];
  let isOrdered = true;
  for (const group of days.values()) {
    const finding = reduceUnitDay(group) as UnitDay;
    isOrdered &&= found.length === 0 || (found.at(-1) as UnitDay).day < finding.day;
    found.push(finding);
  }
  return isOrdered ? found : found.sort((a, b) => (a.day < b.day ? -1 : 1));
}
