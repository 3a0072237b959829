import { type RandomGenerator, randomGenerator, defined, notDefined, type Outcome } from '../shared/index.ts';
import { meanOf } from './describe.ts';

/** The most arrangements that are all gone through; beyond, so many are drawn. */
export const MOST_ARRANGEMENTS = 200_000;
const DRAWN = 20_000;
const ROUNDING = 1e-9;

/** Two groups compared by shuffling their labels. */
export interface Permutation {
  /** mean(second) − mean(first). */
  readonly difference: number;
  /** Two-sided: share of arrangements with a difference at least as large in size. */
  readonly p: number;
  /** Arrangements looked at: all there are, or those drawn. */
  readonly arrangements: number;
  readonly isExact: boolean;
  /** Standard error of `p` from drawing, √(p(1 − p)/drawn); 0 when exact. */
  readonly error: number;
}

/**
 * The permutation test of a difference of means (Fisher 1935; Pitman 1937), two-sided. All arrangements when there
 * are at most 200 000, else 20 000 seeded draws with (1 + hits)/(1 + draws), after Phipson and Smyth (2010).
 * @param seed for the draws
 * @returns undefined for an empty group, or when all values are the same
 */
export function permutationTest(
  first: readonly number[],
  second: readonly number[],
  seed: number,
): Outcome<Permutation> {
  if (first.length === 0 || second.length === 0) return notDefined('group_too_small');
  const values = [...first, ...second];
  if (values.every((value) => value === values[0])) return notDefined('no_spread');
  const difference = meanOf(second) - meanOf(first);
  const all = arrangementsOf(values.length, second.length);
  const bound = boundOf(values, second.length, difference);
  if (all <= MOST_ARRANGEMENTS) {
    const hits = countAll(values, second.length, bound);
    return defined({ difference, p: hits / all, arrangements: all, isExact: true, error: 0 });
  }
  const chance = randomGenerator(seed);
  const shuffle = new LabelShuffle(values, second.length);
  let hits = 0;
  for (let draw = 0; draw < DRAWN; draw += 1) {
    if (Math.abs(shuffle.next(chance) - bound.middle) >= bound.reach) hits += 1;
  }
  const p = (hits + 1) / (DRAWN + 1);
  const error = Math.sqrt((p * (1 - p)) / DRAWN);
  return defined({ difference, p, arrangements: DRAWN, isExact: false, error });
}

/** Ways to choose which `of` of `n` pots wear the second label. */
export function arrangementsOf(n: number, of: number): number {
  let ways = 1;
  for (let index = 1; index <= of; index += 1) ways = (ways * (n - of + index)) / index;
  return Math.round(ways);
}

/** Sums of the second group at least `reach` from `middle` are differences at least as large as the observed. */
interface Bound {
  readonly middle: number;
  readonly reach: number;
}

function boundOf(values: readonly number[], count: number, difference: number): Bound {
  const n = values.length;
  const total = values.reduce((sum, value) => sum + value, 0);
  const scale = values.reduce((sum, value) => sum + Math.abs(value), 0);
  const reach = (Math.abs(difference) * count * (n - count)) / n;
  return { middle: (total * count) / n, reach: reach - ROUNDING * Math.max(scale, 1e-300) };
}

/** Counts all choices of `count` values whose sum is at least the bound away from the middle. */
function countAll(values: readonly number[], count: number, { middle, reach }: Bound): number {
  let hits = 0;
  const choose = (from: number, left: number, sum: number): void => {
    if (left === 0) {
      if (Math.abs(sum - middle) >= reach) hits += 1;
      return;
    }
    for (let index = from; index <= values.length - left; index += 1) {
      choose(index + 1, left - 1, sum + (values[index] as number));
    }
  };
  choose(0, count, 0);
  return hits;
}

/** Deals labels by a partial Fisher–Yates shuffle and sums the second group. */
class LabelShuffle {
  readonly #values: number[];
  readonly #count: number;

  constructor(values: readonly number[], count: number) {
    this.#values = [...values];
    this.#count = count;
  }

  next(chance: RandomGenerator): number {
    const values = this.#values;
    let sum = 0;
    for (let place = 0; place < this.#count; place += 1) {
      const other = chance.integer(place, values.length - 1);
      const drawn = values[other] as number;
      values[other] = values[place] as number;
      values[place] = drawn;
      sum += drawn;
    }
    return sum;
  }
}
