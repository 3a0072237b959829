import type { CalendarDay } from '../shared/index.ts';
import type { UnitDay } from './unit-day.ts';

/**
 * The last day on which most pots were read: at least half of those that were not dead or removed before. A day that
 * a class has only begun to read does not count. When no day was read by most, the day that the most pots were read,
 * the last of several; undefined when nobody has read anything.
 * @param histories findings of each unit in day order
 * @param unitCount pots of the experiment, those that were never read too
 */
export function lastDayMostRead(
  histories: ReadonlyMap<string, readonly UnitDay[]>,
  unitCount: number,
): CalendarDay | undefined {
  const read = new Map<CalendarDay, number>();
  const goneSince = new Map<CalendarDay, number>();
  for (const history of histories.values()) {
    for (const { day, state } of history) if (state !== 'not_read') add(read, day);
    const end = history.find(({ state }) => isGone(state));
    if (end) add(goneSince, end.day);
  }
  const days = [...read.keys()].sort();
  let gone = 0;
  const ends = [...goneSince].sort(([a], [b]) => (a < b ? -1 : 1));
  let last: CalendarDay | undefined;
  let fullest: CalendarDay | undefined;
  for (const day of days) {
    while (ends[0] && ends[0][0] < day) gone += ends.shift()?.[1] ?? 0;
    const count = read.get(day) ?? 0;
    if (2 * count >= unitCount - gone) last = day;
    if (fullest === undefined || count >= (read.get(fullest) ?? 0)) fullest = day;
  }
  return last ?? fullest;
}

function isGone(state: UnitDay['state']): boolean {
  return state === 'dead' || state === 'removed';
}

function add(counts: Map<CalendarDay, number>, day: CalendarDay): void {
  counts.set(day, (counts.get(day) ?? 0) + 1);
}
