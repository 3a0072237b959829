import { say } from '@bright-sprout/words/refusals';
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
import { PLAN_PART_WORDS } from '@bright-sprout/core/words';

/** What is wrong with a lesson date; undefined when nothing is. */
export function lessonProblem(sowOn: string, lessonOn: string): string | undefined {
  const days = daysBetween(calendarDay(sowOn), calendarDay(lessonOn));
  if (days <= 0) return say('theLessonComesAfterTheSowingDate');
  return days > LONGEST_PLAN_DAYS ? say('thatIsMoreThanAYearAfter') : undefined;
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
        message: say('anotherLevelHasThisNameAlready'),
      });
    });
    if (factor.levels.filter((level) => level.isControl).length > 1) {
      problems.push({ field: `factors.${at}.levels`, message: say('markOneLevelAtMostAsThe') });
    }
  });
  return problems;
}

function sizeProblems(plan: PlanRequest): FieldProblem[] {
  const treatments = treatmentsOf(plan).length;
  if (treatments === 0) {
    return [{ field: 'leftOut', message: say('everyCombinationIsLeftOutGrowAt') }];
  }
  if (treatments > MOST_TREATMENTS) {
    const message = say('combinationsAreMoreThanUseFewer', { treatments, mostTreatments: MOST_TREATMENTS });
    return [{ field: 'factors', message }];
  }
  if (treatments * plan.replicates > MOST_UNITS) {
    const message = say('potsAreMoreThanUseFewerOf', {
      treatments: treatments * plan.replicates,
      mostUnits: MOST_UNITS,
    });
    return [{ field: 'replicates', message }];
  }
  const problem = unitsProblem(plan);
  if (problem?.code !== 'more_units_than_places') return [];
  const places = plan.containers.reduce((sum, container) => sum + placeCount(container), 0);
  const fit = Math.floor(places / treatments);
  const advice = fit === 0 ? say('useALargerContainerOrSeveral') : say('useAtMostOfEachOrA', { fit });
  const message = say('potsDoNotFitIntoPlaces', { units: problem.units, places, advice });
  return [{ field: 'replicates', message }];
}

function dateProblems(plan: PlanRequest): FieldProblem[] {
  const problems: FieldProblem[] = [];
  const lesson = lessonProblem(firstSowing(plan), plan.lessonOn);
  if (lesson !== undefined) problems.push({ field: 'lessonOn', message: lesson });
  plan.calendar.holidays.forEach((holiday, index) => {
    if (holiday.to >= holiday.from) return;
    const message = say('theLastDayComesBeforeTheFirst');
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
const FIXED = [
  'kind',
  'cropId',
  'factors',
  'leftOut',
  'replicates',
  'seedsPerUnit',
  'plantsPerUnit',
  'containers',
  'layoutMethod',
  'layoutSeed',
  'measure',
  'plantRule',
  'sowOn',
] as const satisfies readonly (keyof typeof PLAN_PART_WORDS)[];

/** The fixed parts in which two plans differ, in words. Names of factors and levels, and of containers, may change. */
export function fixedDifferences(before: Plan, after: Plan): string[] {
  const different = FIXED.filter(
    (key) => JSON.stringify(bare(before)[key]) !== JSON.stringify(bare(after)[key]),
  );
  return [...new Set(different.map((key) => PLAN_PART_WORDS[key]))];
}

function bare(plan: Plan): Record<(typeof FIXED)[number], unknown> {
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
