import { defined, notDefined, type Outcome } from '../shared/index.ts';
import { binomialAtLeast, binomialTerms } from '../statistics/index.ts';

/** What is asked of a sowing: `plants` in each of `units`, with a chance that all of them get there. */
export interface SowingWish {
  readonly plants: number;
  readonly units: number;
  /** Wanted chance that every unit has its plants, 0–1, below 1. */
  readonly chance: number;
  /** Share of seeds that come up, 0–1. */
  readonly germination: number;
}

/** How many seeds a wish takes. */
export interface SowingAnswer {
  readonly seedsPerUnit: number;
  /** Chance that every unit has its plants. */
  readonly chance: number;
  /** Seedlings expected to be thinned, in all units together. */
  readonly thinned: number;
}

/** Units kept as spares in place of more seeds in each. */
export interface SpareAnswer {
  readonly spares: number;
  readonly chance: number;
}

const MOST_SEEDS = 200;
const MOST_SPARES = 200;

/**
 * What a number of seeds a unit gives: the chance [P(Binomial(m, g) ≥ plants)]^units and the expected thinning
 * Σ max(x − plants, 0)·P(x)·units. Seeds are taken to come up independently of each other.
 */
export function sowingWith(seedsPerUnit: number, wish: Omit<SowingWish, 'chance'>): SowingAnswer {
  const { plants, units, germination } = wish;
  const extra = binomialTerms(seedsPerUnit, germination).reduce(
    (sum, term, up) => sum + Math.max(up - plants, 0) * term,
    0,
  );
  return {
    seedsPerUnit,
    chance: binomialAtLeast(plants, seedsPerUnit, germination) ** units,
    thinned: extra * units,
  };
}

/**
 * The fewest seeds a unit with which every unit has its plants with the chance wanted.
 * @returns undefined when nothing germinates or when 200 seeds are not enough
 */
export function seedsNeeded(wish: SowingWish): Outcome<SowingAnswer> {
  if (wish.germination <= 0) return notDefined('nothing-germinates');
  for (let seeds = wish.plants; seeds <= MOST_SEEDS; seeds += 1) {
    const answer = sowingWith(seeds, wish);
    if (answer.chance >= wish.chance) return defined(answer);
  }
  return notDefined('too-many-needed');
}

/**
 * The fewest spare units, each sown with `seedsPerUnit`, with which at least the units wanted have their plants
 * with the chance wanted.
 */
export function sparesNeeded(wish: SowingWish, seedsPerUnit: number): Outcome<SpareAnswer> {
  if (wish.germination <= 0) return notDefined('nothing-germinates');
  const each = binomialAtLeast(wish.plants, seedsPerUnit, wish.germination);
  for (let spares = 0; spares <= MOST_SPARES; spares += 1) {
    const chance = binomialAtLeast(wish.units, wish.units + spares, each);
    if (chance >= wish.chance) return defined({ spares, chance });
  }
  return notDefined('too-many-needed');
}

/** Units expected to stay empty, and the chance that at least one does. */
export function emptyUnits(
  seedsPerUnit: number,
  units: number,
  germination: number,
): { readonly expected: number; readonly chanceOfAny: number } {
  const empty = (1 - germination) ** seedsPerUnit;
  return { expected: empty * units, chanceOfAny: 1 - (1 - empty) ** units };
}
