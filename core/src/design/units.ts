import { addDays, type CalendarDay } from '../shared/index.ts';
import { standingsOf } from './balance.ts';
import { placeCount, type PlaceInContainers, placesOf } from './container.ts';
import {
  balancedLayout,
  blockedLayout,
  type LaidOutUnit,
  layoutProblem,
  type LayoutProblem,
} from './layout.ts';
import type { Plan } from './plan.ts';
import { placedStands } from './stands.ts';
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

function laidOut(
  { replicates, layoutSeed, layoutMethod, containers }: Plan,
  places: readonly PlaceInContainers[],
  treatments: number,
): LaidOutUnit[] {
  if (layoutMethod === 'blocks') return blockedLayout(treatments, replicates, layoutSeed);
  const taken = places.slice(0, treatments * replicates);
  const groups =
    taken.length === treatments * replicates ? Object.values(standingsOf(taken, containers)) : [];
  return balancedLayout(treatments, replicates, groups, layoutSeed);
}

/**
 * The units of a plan, laid out by its method and seed in walking order; units beyond the places are left
 * away. A layout by hand begins as a random one. Treatments that need another place get containers of their own, where
 * there are enough.
 */
export function plannedUnits(plan: Plan): PlannedUnit[] {
  const treatments = treatmentsOf(plan);
  const all = treatments.map((_, index) => index);
  const stands = placedStands(plan) ?? [{ treatments: all, places: placesOf(plan.containers) }];
  const units = stands.flatMap(({ treatments: own, places }) =>
    laidOut(plan, places, own.length).flatMap((unit, index) => {
      const place = places[index];
      const treatment = own[unit.treatment];
      const whole = treatment === undefined ? undefined : treatments[treatment];
      return place && treatment !== undefined && whole
        ? [{ ...unit, treatment, ...place, sowOn: sowingDayOf(plan, whole) }]
        : [];
    }),
  );
  return units.map((unit, index) => ({ ...unit, number: index + 1 }));
}
