import { type CalendarDay, daysBetween } from '@bright-sprout/core/shared';
import type { LessonNow } from '../lesson-now.ts';

/** What a certificate is for. Never a ranking: everybody who did it gets one. */
export type Certificate = { readonly id: string; readonly number: number; readonly team: string } & (
  | { readonly kind: 'mark'; readonly day: CalendarDay; readonly value: number; readonly mark: number }
  | { readonly kind: 'first_sprout'; readonly day: CalendarDay; readonly age: number }
  | { readonly kind: 'full_record'; readonly days: number }
);

/** Pots whose plant passed the mark, with the first reading above it. */
export function marksPassed({ plants, histories, mark, day }: LessonNow): Certificate[] {
  if (mark === null) return [];
  return plants.flatMap(({ unit }) => {
    const first = (histories.get(unit.id) ?? []).find(
      (finding) => finding.day <= day && finding.value !== null && finding.value > mark,
    );
    return first?.value == null
      ? []
      : [
          {
            kind: 'mark' as const,
            id: unit.id,
            number: unit.number,
            team: unit.team,
            day: first.day,
            value: first.value,
            mark,
          },
        ];
  });
}

/** Pots that were found up first: all of them where several were. */
export function firstSprouts({ firsts, plants }: LessonNow): Certificate[] {
  if (!firsts.firstUp.defined) return [];
  const first = new Set(firsts.firstUp.value.units.map(({ id }) => id));
  return plants.flatMap(({ unit, firstUp }) =>
    first.has(unit.id) && firstUp !== null && unit.sownOn !== null
      ? [
          {
            kind: 'first_sprout' as const,
            id: unit.id,
            number: unit.number,
            team: unit.team,
            day: firstUp,
            age: daysBetween(unit.sownOn, firstUp),
          },
        ]
      : [],
  );
}

/** Pots that were looked at on every day on which any pot was, until they were gone. */
export function fullRecords({ plants, histories, day }: LessonNow): Certificate[] {
  const readDays = [
    ...new Set([...histories.values()].flatMap((history) => history.map((finding) => finding.day))),
  ].filter((one) => one <= day);
  if (readDays.length === 0) return [];
  return plants.flatMap(({ unit }) => {
    const own = (histories.get(unit.id) ?? []).filter((finding) => finding.day <= day);
    const end = own.find(({ state }) => state === 'dead' || state === 'removed')?.day;
    const due = readDays.filter(
      (one) => (end === undefined || one <= end) && (unit.sownOn === null || one > unit.sownOn),
    );
    const read = new Set(own.filter(({ state }) => state !== 'not_read').map((finding) => finding.day));
    return due.length > 0 && due.every((one) => read.has(one))
      ? [
          {
            kind: 'full_record' as const,
            id: unit.id,
            number: unit.number,
            team: unit.team,
            days: due.length,
          },
        ]
      : [];
  });
}
