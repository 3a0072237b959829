import type { Plan } from '../design/index.ts';
import { addDays, type CalendarDay } from '../shared/index.ts';
import type { ScheduledTask } from './task-changes.ts';

/** What seeds or their mix wait for before they are sown. */
export interface Wait {
  readonly task: 'treat_mix' | 'cold';
  /** The first day on which it is over. */
  readonly day: CalendarDay;
}

/** The wait before sowing that is over last, counted from the day on which it was begun, else from the planned one. */
export function waitBeforeSowing(
  { conditions }: Pick<Plan, 'conditions'>,
  tasks: readonly Pick<ScheduledTask, 'code' | 'day' | 'doneOn'>[],
): Wait | undefined {
  const waits = (['treat_mix', 'cold'] as const).flatMap((task): Wait[] => {
    const days = task === 'cold' ? conditions.coldDays : conditions.reactionDays;
    const begun = tasks.find(({ code }) => code === task);
    return begun && days > 0 ? [{ task, day: addDays(begun.doneOn ?? begun.day, days) }] : [];
  });
  return waits.sort((a, b) => (a.day < b.day ? 1 : -1))[0];
}
