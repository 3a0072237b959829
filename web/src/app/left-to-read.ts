import { say } from '@bright-sprout/words/app';
import type { ExperimentView } from '@bright-sprout/contract/plans';
import { isClassDay, SCHOOL_DAYS } from '@bright-sprout/core/calendar';
import { calendarDay } from '@bright-sprout/core/shared';

/** What stands beside Record: how many pots are left to read today, where there is a class today. */
export function leftToRead(
  { sowOn, today, plan }: Pick<ExperimentView, 'sowOn' | 'today' | 'plan'>,
  left: number,
): string {
  if (sowOn === today) return say('fromTomorrow');
  if (left === 0) return say('allReadToday');
  return isClassDay(calendarDay(today), plan?.calendar ?? SCHOOL_DAYS)
    ? say('potsLeftToday', { left })
    : say('noClassToday');
}
