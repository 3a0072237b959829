import { addDays, type CalendarDay } from '../shared/index.ts';
import { placeCount, type PlaceInContainers, placesOf } from './container.ts';
import {
  blockedLayout,
  type LaidOutUnit,
  layoutProblem,
  type LayoutProblem,
  randomLayout,
} from './layout.ts';
import type { Plan } from './plan.ts';
import { type PlanTreatment, treatmentsOf } from './treatments.ts';

/** A unit of a plan in its place. */
export interface PlannedUnit extends LaidOutUnit, PlaceInContainers {
  readonly sowOn: CalendarDay;
}

/** What a plan that cannot be laid out lacks; undefined when it can. */
export function unitsProblem(plan: Plan): LayoutProblem | undefined {
  const places = plan.containers.reduce((sum, container) => sum + placeCount(container), 0);
  return layoutProblem(treatmentsOf(plan).length, plan.replicates, places);
}

/** The day on which the units of a treatment are sown: the plan's, or as many days before the lesson as they should be old. */
export function sowingDayOf(plan: Pick<Plan, 'sowOn' | 'lessonOn'>, treatment: PlanTreatment): CalendarDay {
  const { ageDays } = treatment.settings;
  return ageDays === null ? plan.sowOn : addDays(plan.lessonOn, -ageDays);
}

/**
 * The units of a plan, laid out by its method and seed in walking order; units beyond the places are left
 * away. A layout by hand begins as a random one.
 */
export function plannedUnits(plan: Plan): PlannedUnit[] {
  const treatments = treatmentsOf(plan);
  const lay = plan.layoutMethod === 'blocks' ? blockedLayout : randomLayout;
  const places = placesOf(plan.containers);
  return lay(treatments.length, plan.replicates, plan.layoutSeed).flatMap((unit, index) => {
    const place = places[index];
    const treatment = treatments[unit.treatment];
    return place && treatment ? [{ ...unit, ...place, sowOn: sowingDayOf(plan, treatment) }] : [];
  });
}
