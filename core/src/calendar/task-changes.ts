import type { Plan } from '../design/index.ts';
import type { CalendarDay } from '../shared/index.ts';
import { isClassDay } from './class-days.ts';
import { type CalendarTask, planCalendar, type PlanCalendar } from './calendar.ts';
import type { PlanSurroundings } from './treatment-growth.ts';

/** What was moved, done or added of a calendar. */
export interface TaskChange {
  readonly key: string;
  readonly movedTo: CalendarDay | null;
  readonly doneOn: CalendarDay | null;
  readonly who: string;
  /** Words of a task added by hand; empty for one of the plan's own. */
  readonly title: string;
}

/** A task as it stands after changes. */
export interface ScheduledTask extends CalendarTask {
  readonly doneOn: CalendarDay | null;
  readonly who: string;
  readonly title: string;
  readonly isMoved: boolean;
}

/**
 * The calendar of a plan with what was changed by hand, by day. A change of a task that the plan no longer has is
 * left out; a helper named in the plan takes what nobody in class can do.
 */
export function calendarWithChanges(
  plan: Plan,
  surroundings: PlanSurroundings,
  changes: readonly TaskChange[],
): Omit<PlanCalendar, 'tasks'> & { readonly tasks: readonly ScheduledTask[] } {
  const { tasks, emergence, bands } = planCalendar(plan, surroundings);
  const byKey = new Map(changes.map((change) => [change.key, change]));
  const changed = tasks.map((task): ScheduledTask => {
    const change = byKey.get(task.key);
    const day = change?.movedTo ?? task.day;
    // A watering that was moved needs somebody on its new day.
    const needsHelper = task.code === 'water' ? !isClassDay(day, plan.calendar) : task.needsHelper;
    const helper = needsHelper ? plan.calendar.helper : '';
    return {
      ...task,
      ...{ day, needsHelper },
      doneOn: change?.doneOn ?? null,
      who: change?.who ?? helper,
      title: '',
      isMoved: change?.movedTo != null && change.movedTo !== task.day,
    };
  });
  const own = changes.flatMap((change): ScheduledTask[] =>
    change.title !== '' && change.movedTo !== null ? [ownTask(change, change.movedTo)] : [],
  );
  return {
    emergence,
    bands,
    tasks: [...changed, ...own].sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0)),
  };
}

function ownTask({ key, doneOn, who, title }: TaskChange, day: CalendarDay): ScheduledTask {
  const common = { key, code: 'own', day, wantedOn: day, needsHelper: false, treatments: [] } as const;
  return { ...common, doneOn, who, title, isMoved: false };
}
