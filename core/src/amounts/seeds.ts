import { type GerminationRate, overRates, seedsFor, upInPot } from '../design/index.ts';
import { defined, notDefined, type Outcome } from '../shared/index.ts';
import { binomialAtLeast } from '../statistics/index.ts';

/** Units that are sown alike: `plants` wanted in each of `units`. Groups of one crop share what its rate may be. */
export interface SownGroup {
  readonly crop: string;
  readonly plants: number;
  /** Seeds in each unit where they are decided; left out or `null` for as many a plant as are asked for. */
  readonly seeds?: number | null;
  readonly units: number;
  readonly rate: GerminationRate;
}

/** What is asked of a sowing. */
export interface SowingWish {
  readonly groups: readonly SownGroup[];
  /** Plants that the number of seeds a unit is said of; groups of more plants are sown with as many more seeds. */
  readonly plantsPerUnit: number;
  /** Wanted chance that every unit has its plants, 0–1, below 1. */
  readonly chance: number;
}

/** How many seeds a wish takes. */
export interface SowingAnswer {
  readonly seedsPerUnit: number;
  /** Seeds in all units together. */
  readonly seeds: number;
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

function seedsOfGroup(
  seedsPerUnit: number,
  { plantsPerUnit }: Pick<SowingWish, 'plantsPerUnit'>,
  { seeds, plants }: SownGroup,
): number {
  return seeds ?? seedsFor(seedsPerUnit, plantsPerUnit, plants);
}

/**
 * What a number of seeds a unit gives, as a prediction: seeds of one pot share some of their fate ({@link upInPot}),
 * and all pots of a crop share a rate of which only its posterior is known ({@link overRates}). The chance is that of
 * every unit reaching its plants; thinning is Σ E[max(x − plants, 0)].
 */
export function sowingWith(seedsPerUnit: number, wish: Omit<SowingWish, 'chance'>): SowingAnswer {
  const seedsOf = (group: SownGroup): number => seedsOfGroup(seedsPerUnit, wish, group);
  return {
    seedsPerUnit,
    seeds: wish.groups.reduce((sum, group) => sum + group.units * seedsOf(group), 0),
    chance: chanceOfAll(wish.groups, (group, share) => reach(group.plants, seedsOf(group), share)),
    thinned: wish.groups.reduce(
      (sum, group) =>
        sum +
        group.units * overRates(group.rate, (share) => extraPlants(group.plants, seedsOf(group), share)),
      0,
    ),
  };
}

/**
 * The fewest seeds a unit with which every unit has its plants with the chance wanted, of those units whose seeds are
 * not decided.
 * @returns undefined when nothing germinates, when 200 seeds are not enough, or as `seeds_decided` when all are
 */
export function seedsNeeded(wish: SowingWish): Outcome<SowingAnswer> {
  if (wish.groups.some(({ rate }) => rate.share <= 0)) return notDefined('nothing_germinates');
  const open = wish.groups.filter(({ seeds }) => seeds == null);
  if (open.length === 0) return notDefined('seeds_decided');
  const enough = (seeds: number): boolean =>
    chanceOfAll(open, (group, share) =>
      reach(group.plants, seedsFor(seeds, wish.plantsPerUnit, group.plants), share),
    ) >= wish.chance;
  if (!enough(MOST_SEEDS)) return notDefined('too_many_needed');
  let [low, high] = [wish.plantsPerUnit - 1, MOST_SEEDS];
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (enough(middle)) high = middle;
    else low = middle;
  }
  return defined(sowingWith(high, wish));
}

/**
 * The fewest spare units, each sown with as many seeds as plants are wanted, with which at least the units wanted have
 * their plants with the chance wanted.
 * @returns undefined where units differ, as a spare then stands in for some only
 */
export function sparesNeeded(wish: SowingWish): Outcome<SpareAnswer> {
  const [first, ...others] = wish.groups;
  if (!first || others.some((group) => group.crop !== first.crop || group.plants !== first.plants)) {
    return notDefined('kinds_differ');
  }
  const { rate, plants } = first;
  if (rate.share <= 0) return notDefined('nothing_germinates');
  const units = wish.groups.reduce((sum, group) => sum + group.units, 0);
  for (let spares = 0; spares <= MOST_SPARES; spares += 1) {
    const chance = overRates(rate, (share) =>
      binomialAtLeast(units, units + spares, reach(plants, plants, share)),
    );
    if (chance >= wish.chance) return defined({ spares, chance });
  }
  return notDefined('too_many_needed');
}

/** Units expected to stay empty, and the chance that at least one does. */
export function emptyUnits(
  seedsPerUnit: number,
  wish: Omit<SowingWish, 'chance'>,
): { readonly expected: number; readonly chanceOfAny: number } {
  const emptyChance = (group: SownGroup, share: number): number =>
    upInPot(seedsOfGroup(seedsPerUnit, wish, group), share)[0] as number;
  const { groups } = wish;
  return {
    expected: groups.reduce(
      (sum, group) => sum + group.units * overRates(group.rate, (share) => emptyChance(group, share)),
      0,
    ),
    chanceOfAny: 1 - chanceOfAll(groups, (group, share) => 1 - emptyChance(group, share)),
  };
}

/** Chance that something holds of every unit: units of a crop share its rate, crops do not. */
function chanceOfAll(
  groups: readonly SownGroup[],
  ofOne: (group: SownGroup, share: number) => number,
): number {
  return [...new Set(groups.map(({ crop }) => crop))].reduce((product, crop) => {
    const own = groups.filter((group) => group.crop === crop);
    const [first] = own as [SownGroup];
    const all = (share: number): number =>
      own.reduce((chance, group) => chance * ofOne(group, share) ** group.units, 1);
    return product * overRates(first.rate, all);
  }, 1);
}

function reach(plants: number, seeds: number, share: number): number {
  const sum = upInPot(seeds, share)
    .slice(plants)
    .reduce((total, term) => total + term, 0);
  return Math.min(1, sum);
}

function extraPlants(plants: number, seeds: number, share: number): number {
  return upInPot(seeds, share).reduce((sum, term, up) => sum + Math.max(up - plants, 0) * term, 0);
}
