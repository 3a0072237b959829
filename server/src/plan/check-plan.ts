import type { FieldProblem } from '@bright-sprout/contract/shared';
import type { PlanRequest } from '@bright-sprout/contract/plan';
import { LONGEST_PLAN_DAYS } from '@bright-sprout/core/schedule';
import { calendarDay, daysBetween } from '@bright-sprout/core/shared';
import { CONTAINER_GRIDS, layoutProblem, placeCount } from '@bright-sprout/core/design';

/** What is wrong with a lesson date; undefined when nothing is. */
export function lessonProblem(sowOn: string, lessonOn: string): string | undefined {
  const days = daysBetween(calendarDay(sowOn), calendarDay(lessonOn));
  if (days <= 0) return 'The lesson comes after the sowing date.';
  return days > LONGEST_PLAN_DAYS ? 'That is more than a year after sowing: check the year.' : undefined;
}

/** What is wrong with a plan beyond its single fields, by field; empty when nothing is. */
export function planProblems(plan: PlanRequest): FieldProblem[] {
  const problems: FieldProblem[] = [];
  const names = plan.levels.map((level) => level.name.toLowerCase());
  names.forEach((name, index) => {
    if (names.indexOf(name) !== index) {
      problems.push({ field: `levels.${index}.name`, message: 'Another level has this name already.' });
    }
  });
  if (plan.levels.filter((level) => level.isControl).length > 1) {
    problems.push({ field: 'levels', message: 'Mark one level at most as the control.' });
  }
  const lesson = lessonProblem(plan.sowOn, plan.lessonOn);
  if (lesson !== undefined) problems.push({ field: 'lessonOn', message: lesson });
  const places = placeCount(CONTAINER_GRIDS[plan.containerKind]);
  const problem = layoutProblem(plan.levels.length, plan.replicates, places);
  if (problem?.code === 'more-units-than-places') {
    const message = `${problem.units} pots do not fit into ${problem.places} places. Use at most ${Math.floor(
      places / plan.levels.length,
    )} pots a level, or a larger container.`;
    problems.push({ field: 'replicates', message });
  }
  return problems;
}
