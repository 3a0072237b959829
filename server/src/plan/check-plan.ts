import type { FieldProblem } from '@bright-sprout/contract/shared';
import type { PlanRequest } from '@bright-sprout/contract/plan';
import { CONTAINER_GRIDS, layoutProblem, placeCount } from '@bright-sprout/core/design';

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
  if (plan.lessonOn <= plan.sowOn) {
    problems.push({ field: 'lessonOn', message: 'The lesson comes after the sowing date.' });
  }
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
