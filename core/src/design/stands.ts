import {
  MOST_CONTAINERS,
  placeCount,
  type PlanContainer,
  type PlaceInContainers,
  placesOf,
} from './container.ts';
import type { Plan } from './plan.ts';
import { type PlanTreatment, treatmentsOf } from './treatments.ts';

/** Treatments that stand together in one place: as warm, and all in the dark or none. A hood shades where a pot stands. */
export interface Stand {
  /** Indices into the plan's treatments. */
  readonly treatments: readonly number[];
}

/** The places that the treatments of a plan need: where none is darkened or kept warmer, one. */
export function standsOf(plan: Parameters<typeof treatmentsOf>[0]): Stand[] {
  const treatments = treatmentsOf(plan);
  const keyOf = ({ settings }: PlanTreatment): string =>
    `${settings.light === 'dark'} ${settings.temperatureC}`;
  return [...new Set(treatments.map(keyOf))].map((key) => ({
    treatments: treatments.flatMap((treatment, index) => (keyOf(treatment) === key ? [index] : [])),
  }));
}

/**
 * Containers of the plan's first kind, so many that every stand has its own.
 * @returns undefined where they would be more than a plan may have
 */
export function containersForStands(plan: Plan): PlanContainer[] | undefined {
  const [first] = plan.containers;
  if (!first) return undefined;
  const containers = standsOf(plan).flatMap(({ treatments }) => {
    const count = Math.ceil((treatments.length * plan.replicates) / placeCount(first));
    return Array.from({ length: count }, () => ({ ...first, name: '' }));
  });
  return containers.length > MOST_CONTAINERS ? undefined : containers;
}

/** A changed plan whose treatments need other places than before: each place gets containers of its own. */
export function withOwnContainers(before: Plan, after: Plan): Plan {
  const isNew = standsOf(after).length > standsOf(before).length && placedStands(after) === undefined;
  const containers = isNew ? containersForStands(after) : undefined;
  return containers ? { ...after, containers } : after;
}

/** Treatments that stand together, with the places that are theirs. */
export interface PlacedStand extends Stand {
  readonly places: readonly PlaceInContainers[];
}

/**
 * The places of each stand, every stand in containers of its own, in order.
 * @returns undefined where the containers are too few or too small for that
 */
export function placedStands(plan: Plan): PlacedStand[] | undefined {
  const all = placesOf(plan.containers);
  const placed: PlacedStand[] = [];
  let container = 0;
  for (const stand of standsOf(plan)) {
    const needed = stand.treatments.length * plan.replicates;
    const first = container;
    for (let room = 0; room < needed; container += 1) {
      const next = plan.containers[container];
      if (!next) return undefined;
      room += placeCount(next);
    }
    const own = all.filter((place) => place.container >= first && place.container < container);
    placed.push({ ...stand, places: own.slice(0, needed) });
  }
  return placed;
}
