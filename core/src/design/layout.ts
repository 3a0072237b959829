import { type RandomGenerator, randomGenerator, shuffled } from '../shared/index.ts';

/** One unit of a layout: which treatment stands at which place number, and its replicate number within it. */
export interface LaidOutUnit {
  /** Place in walking order, from 1; also the number written on the pot. */
  readonly number: number;
  /** Index into the plan's treatments. */
  readonly treatment: number;
  /** Counted from 1 within the treatment, in walking order. */
  readonly replicate: number;
  /** Block in walking order, from 1; 0 in a layout without blocks. */
  readonly block: number;
}

/** Why a plan cannot be laid out. */
export type LayoutProblem =
  | { readonly code: 'no_treatments' }
  | { readonly code: 'no_replicates' }
  | { readonly code: 'more_units_than_places'; readonly units: number; readonly places: number };

/** What stands in the way of laying out `treatments` × `replicates` units in `places`; undefined when nothing does. */
export function layoutProblem(
  treatments: number,
  replicates: number,
  places: number,
): LayoutProblem | undefined {
  if (treatments < 1) return { code: 'no_treatments' };
  if (!Number.isInteger(replicates) || replicates < 1) return { code: 'no_replicates' };
  const units = treatments * replicates;
  return units > places ? { code: 'more_units_than_places', units, places } : undefined;
}

/** Numbers the replicates of each treatment in walking order. `order` holds treatment indices by place. */
export function numberReplicates(order: readonly number[]): LaidOutUnit[] {
  const seen = new Map<number, number>();
  return order.map((treatment, index) => {
    const replicate = (seen.get(treatment) ?? 0) + 1;
    seen.set(treatment, replicate);
    return { number: index + 1, treatment, replicate, block: 0 };
  });
}

/**
 * A completely randomised layout: every order of the units is equally likely, and the same seed gives the
 * same order again.
 * @param seed whole number from 0 to 2³² − 1
 */
export function randomLayout(treatments: number, replicates: number, seed: number): LaidOutUnit[] {
  const order = Array.from({ length: treatments * replicates }, (_, index) => index % treatments);
  return numberReplicates(shuffled(order, randomGenerator(seed)));
}

/**
 * Randomised complete blocks (Fisher 1935): each run of neighbouring places holds every treatment once, in an
 * order of its own, so that what changes along the layout is shared by all treatments.
 * @param seed whole number from 0 to 2³² − 1
 */
export function blockedLayout(treatments: number, replicates: number, seed: number): LaidOutUnit[] {
  const chance: RandomGenerator = randomGenerator(seed);
  const kinds = Array.from({ length: treatments }, (_, index) => index);
  const order = Array.from({ length: replicates }, () => shuffled(kinds, chance)).flat();
  return numberReplicates(order).map((unit, index) => ({
    ...unit,
    block: Math.floor(index / treatments) + 1,
  }));
}
