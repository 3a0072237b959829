import { excess } from './balance.ts';
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

/** Swaps that are tried for each unit before a layout stays as even as it has become. */
const SWAPS_A_UNIT = 200;

/**
 * A balanced random layout: drawn by chance among those in which every treatment is as even over every group of places
 * (rows, columns, steps from the bright side, containers) as whole pots allow, or as nearly so as the shape lets it
 * (restricted randomisation: Youden 1972, Bailey 1983). It begins as a shuffle; then units swap places by chance, as long
 * as nothing becomes less even. The same seed gives the same order again.
 * @param groups for each way to group the places, what each unit's place has in common with others
 * @param seed whole number from 0 to 2³² − 1
 */
export function balancedLayout(
  treatments: number,
  replicates: number,
  groups: readonly (readonly string[])[],
  seed: number,
): LaidOutUnit[] {
  const chance: RandomGenerator = randomGenerator(seed);
  const units = treatments * replicates;
  const order = shuffled(
    Array.from({ length: units }, (_, index) => index % treatments),
    chance,
  );
  const counters = groups.map((group) => new GroupCounts(order, group.slice(0, units), treatments));
  const uneven = (): number => counters.reduce((sum, counter) => sum + counter.uneven, 0);
  let least = uneven();
  for (let swap = 0; least > 0 && swap < units * SWAPS_A_UNIT; swap += 1) {
    const [first, second] = [chance.integer(0, units - 1), chance.integer(0, units - 1)];
    if (order[first] === order[second]) continue;
    const change = (): void => {
      const [one, other] = [order[first] as number, order[second] as number];
      for (const counter of counters) {
        counter.move(one, first, second);
        counter.move(other, second, first);
      }
      [order[first], order[second]] = [other, one];
    };
    change();
    const now = uneven();
    if (now > least) change();
    else least = now;
  }
  return numberReplicates(order);
}

/** Counts of each treatment in each group of places, and how far all of them are from even. */
class GroupCounts {
  readonly #groupOf: readonly number[];
  readonly #counts: Int32Array;
  readonly #even: readonly number[];
  uneven = 0;

  constructor(
    order: readonly number[],
    groups: readonly string[],
    private readonly treatments: number,
  ) {
    const names = [...new Set(groups)];
    this.#groupOf = groups.map((group) => names.indexOf(group));
    this.#even = names.map((_, at) => this.#groupOf.filter((group) => group === at).length / treatments);
    this.#counts = new Int32Array(names.length * treatments);
    for (const [at, treatment] of order.entries()) this.#count(this.#cell(treatment, at), 1);
    for (let cell = 0; cell < this.#counts.length; cell += 1) this.uneven += this.#excessOf(cell);
  }

  /** Takes a unit of a treatment from the group of one place to that of another. */
  move(treatment: number, from: number, to: number): void {
    this.#add(this.#cell(treatment, from), -1);
    this.#add(this.#cell(treatment, to), 1);
  }

  #add(cell: number, change: number): void {
    this.uneven -= this.#excessOf(cell);
    this.#count(cell, change);
    this.uneven += this.#excessOf(cell);
  }

  #count(cell: number, change: number): void {
    this.#counts[cell] = (this.#counts[cell] as number) + change;
  }

  #cell(treatment: number, place: number): number {
    return (this.#groupOf[place] as number) * this.treatments + treatment;
  }

  /** Squared, so that what is far from even goes first. */
  #excessOf(cell: number): number {
    return (
      excess(this.#counts[cell] as number, this.#even[Math.floor(cell / this.treatments)] as number) ** 2
    );
  }
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
