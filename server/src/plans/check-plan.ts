import type { PlanRequest } from '@bright-sprout/contract/plans';
import type { FieldProblem } from '@bright-sprout/contract/shared';
import {
  MOST_TREATMENTS,
  MOST_UNITS,
  placeCount,
  type Plan,
  sowingDayOf,
  treatmentsOf,
  unitsProblem,
} from '@bright-sprout/core/design';
import { LONGEST_PLAN_DAYS } from '@bright-sprout/core/calendar';
import { calendarDay, daysBetween } from '@bright-sprout/core/shared';

/** What is wrong with a lesson date; undefined when nothing is. */
export function lessonProblem(sowOn: string, lessonOn: string): string | undefined {
  const days = daysBetween(calendarDay(sowOn), calendarDay(lessonOn));
  if (days <= 0) return 'The lesson comes after the sowing date.';
  return days > LONGEST_PLAN_DAYS ? 'That is more than a year after sowing: check the year.' : undefined;
}

/** What is wrong with a plan beyond its single fields, by field; empty when nothing is. */
export function planProblems(plan: PlanRequest): FieldProblem[] {
  return [...nameProblems(plan), ...sizeProblems(plan), ...dateProblems(plan)];
}

function nameProblems(plan: PlanRequest): FieldProblem[] {
  const problems: FieldProblem[] = [];
  plan.factors.forEach((factor, at) => {
    const names = factor.levels.map((level) => level.name.toLowerCase());
    names.forEach((name, index) => {
      if (names.indexOf(name) === index) return;
      problems.push({
        field: `factors.${at}.levels.${index}.name`,
        message: 'Another level has this name already.',
      });
    });
    if (factor.levels.filter((level) => level.isControl).length > 1) {
      problems.push({ field: `factors.${at}.levels`, message: 'Mark one level at most as the control.' });
    }
  });
  return problems;
}

function sizeProblems(plan: PlanRequest): FieldProblem[] {
  const treatments = treatmentsOf(plan).length;
  if (treatments === 0) {
    return [{ field: 'leftOut', message: 'Every combination is left out. Grow at least one.' }];
  }
  if (treatments > MOST_TREATMENTS) {
    const message = `${treatments} combinations are more than ${MOST_TREATMENTS}. Use fewer levels, or leave some out.`;
    return [{ field: 'factors', message }];
  }
  if (treatments * plan.replicates > MOST_UNITS) {
    const message = `${treatments * plan.replicates} pots are more than ${MOST_UNITS}. Use fewer of each.`;
    return [{ field: 'replicates', message }];
  }
  const problem = unitsProblem(plan);
  if (problem?.code !== 'more-units-than-places') return [];
  const places = plan.containers.reduce((sum, container) => sum + placeCount(container), 0);
  const fit = Math.floor(places / treatments);
  const advice =
    fit === 0 ? 'Use a larger container, or several.' : `Use at most ${fit} of each, or a larger container.`;
  const message = `${problem.units} pots do not fit into ${places} places. ${advice}`;
  return [{ field: 'replicates', message }];
}

function dateProblems(plan: PlanRequest): FieldProblem[] {
  const problems: FieldProblem[] = [];
  const lesson = lessonProblem(firstSowing(plan), plan.lessonOn);
  if (lesson !== undefined) problems.push({ field: 'lessonOn', message: lesson });
  plan.calendar.holidays.forEach((holiday, index) => {
    if (holiday.to >= holiday.from) return;
    const message = 'The last day comes before the first.';
    problems.push({ field: `calendar.holidays.${index}.to`, message });
  });
  return problems;
}

/** The first day on which something is sown. */
export function firstSowing(plan: Plan): string {
  const days = treatmentsOf(plan).map((treatment) => sowingDayOf(plan, treatment));
  return days.sort()[0] ?? plan.sowOn;
}

/** What the readings depend on, so that it can no longer change once seeds are in the soil. */
const FIXED = {
  kind: 'the kind of investigation',
  cropId: 'the crop',
  factors: 'what is changed',
  leftOut: 'the combinations',
  replicates: 'the number of pots',
  seedsPerUnit: 'the seeds in a pot',
  plantsPerUnit: 'the plants in a pot',
  containers: 'the containers',
  layoutMethod: 'the layout',
  layoutSeed: 'the layout',
  measure: 'what is read',
  plantRule: 'which plant is read',
  sowOn: 'the sowing date',
} as const satisfies Partial<Record<keyof Plan, string>>;

/** The fixed parts in which two plans differ, in words. Names of factors and levels, and of containers, may change. */
export function fixedDifferences(before: Plan, after: Plan): string[] {
  const keys = Object.keys(FIXED) as (keyof typeof FIXED)[];
  const different = keys.filter(
    (key) => JSON.stringify(bare(before)[key]) !== JSON.stringify(bare(after)[key]),
  );
  return [...new Set(different.map((key) => FIXED[key]))];
}

function bare(plan: Plan): Record<keyof typeof FIXED, unknown> {
  return {
    ...plan,
    factors: plan.factors.map(({ levels, aspect }) => [
      aspect,
      levels.map((level) => sorted({ ...level, name: '' })),
    ]),
    containers: plan.containers.map((container) => sorted({ ...container, name: '' })),
    measure: sorted(plan.measure),
  };
}

/** The entries of an object by name, so that the order they came in does not count. */
function sorted(value: object): unknown {
  return Object.entries(value)
    .map(([key, part]): [string, unknown] => [
      key,
      typeof part === 'object' && part !== null && !Array.isArray(part) ? sorted(part as object) : part,
    ])
    .sort(([a], [b]) => (a < b ? -1 : 1));
}
