import { randomGenerator, defined, type Outcome } from '../shared/index.ts';
import { kruskalWallis } from './kruskal-wallis.ts';
import { permutationTest } from './permutation.ts';
import { ranksOf } from './ranks.ts';

const DRAWS = 4999;
const ROUNDING = 1e-9;

/** Groups compared by ranks, without any claim on how large samples behave. */
export interface ShuffledRanks {
  /** Kruskal and Wallis's statistic, corrected for ties. */
  readonly h: number;
  readonly p: number;
  readonly isExact: boolean;
}

/**
 * The rank test of Kruskal and Wallis (1952) with its p value by shuffling: of all arrangements of two groups where
 * there are at most 200 000, else of 4 999 seeded ones, the real one counted in (Phipson and Smyth 2010). It holds its
 * error rate with few values and many ties. Empty groups are left away.
 * @returns undefined with fewer than two groups that hold anything, or when all values are the same
 */
export function shuffledRanks(groups: readonly (readonly number[])[], seed: number): Outcome<ShuffledRanks> {
  const filled = groups.filter((group) => group.length > 0);
  const real = kruskalWallis(filled);
  if (!real.defined) return real;
  const { h } = real.value;
  const ranks = [...ranksOf(filled.flat()).of];
  if (filled.length === 2) {
    const count = filled[0]?.length ?? 0;
    const test = permutationTest(ranks.slice(0, count), ranks.slice(count), seed);
    return test.defined ? defined({ h, p: test.value.p, isExact: test.value.isExact }) : test;
  }
  const sizes = filled.map((group) => group.length);
  const bound = betweenOf(ranks, sizes) - ROUNDING;
  const chance = randomGenerator(seed);
  let asLarge = 1;
  for (let draw = 0; draw < DRAWS; draw += 1) {
    for (let place = ranks.length - 1; place > 0; place -= 1) {
      const other = chance.integer(0, place);
      [ranks[place], ranks[other]] = [ranks[other] as number, ranks[place] as number];
    }
    if (betweenOf(ranks, sizes) >= bound) asLarge += 1;
  }
  return defined({ h, p: asLarge / (DRAWS + 1), isExact: false });
}

/** Σ (rank sum)² ÷ size, which rises with H. */
function betweenOf(ranks: readonly number[], sizes: readonly number[]): number {
  let [at, between] = [0, 0];
  for (const size of sizes) {
    let sum = 0;
    for (const end = at + size; at < end; at += 1) sum += ranks[at] as number;
    between += (sum * sum) / size;
  }
  return between;
}
