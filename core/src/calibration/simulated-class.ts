import { calendarDay, randomGenerator, type RandomGenerator } from '../shared/index.ts';
import { balancedLayout, placesOf as gridPlaces, standingsOf } from '../design/index.ts';
import { compareTreatments, type Comparison, type Design } from '../comparison/index.ts';

/** A design, and what is true of the plants in it. */
export interface Situation {
  /** Levels of each factor. */
  readonly levels: readonly number[];
  /** Pots of each combination; blocks, when there are any. */
  readonly pots: number;
  /** Pots of each combination where they have unlike numbers. */
  readonly potsOf?: readonly number[];
  /** How many times the spread of the others each combination has; 1 where it is left out. */
  readonly spreads?: readonly number[];
  readonly hasBlocks?: boolean;
  readonly hasControl?: boolean;
  /** True where levels are amounts of something, 0, 1, 2 … */
  readonly areAmounts?: boolean;
  /** What the last level of the first factor does to the mean: 0.3 is 30 % taller. Those between are stepped evenly. */
  readonly effect?: number;
  /** What having the last level of both of the first two factors does beside. */
  readonly together?: number;
  /** SD ÷ mean of plants treated alike. */
  readonly cv?: number;
  /** Chance that a pot never comes up, and that one that came up dies, by level of the first factor. */
  readonly neverUp?: (level: number) => number;
  readonly dies?: (level: number) => number;
  /** Where the pots stand; without it all places are alike. */
  readonly sill?: Sill;
}

/** A container at a window, its first row at the glass. */
export interface Sill {
  readonly rows: number;
  readonly columns: number;
  /** How much taller plants grow at the glass than in the last row, as a share of the mean. */
  readonly lean: number;
  /** True where pots are laid out evenly, as a plan does; false where they are only shuffled. */
  readonly isEven: boolean;
}

const SOWN = calendarDay('2026-03-01');
const DAY = calendarDay('2026-03-20');
const MEAN_MM = 100;
const STEP_MM = 5;
const BLOCK_SD = 0.15;

/** The design of a situation. */
export function designOf({
  levels,
  pots,
  potsOf,
  hasBlocks = false,
  hasControl = true,
  areAmounts = false,
}: Situation): Design {
  const combinations = levels.reduce<number[][]>(
    (all, count) => all.flatMap((one) => Array.from({ length: count }, (_, level) => [...one, level])),
    [[]],
  );
  const treatments = combinations.map((own, index) => ({
    id: `t${index}`,
    name: `Treatment ${index}`,
    isControl: hasControl && own.every((level) => level === 0),
    levels: own,
    crop: '',
    plants: 1,
  }));
  return {
    factors: levels.map((count, factor) => ({
      name: `Factor ${factor}`,
      levels: Array.from({ length: count }, (_, level) => ({
        name: `${factor}-${level}`,
        isControl: hasControl && level === 0,
        amount: areAmounts ? level : null,
      })),
    })),
    treatments,
    units: treatments
      .flatMap((treatment, at) =>
        Array.from({ length: potsOf?.[at] ?? pots }, (_, pot) => ({ treatment, pot })),
      )
      .map(({ treatment, pot }, index) => ({
        id: `u${index}`,
        number: index + 1,
        treatmentId: treatment.id,
        sownOn: SOWN,
        block: hasBlocks ? String(pot) : '',
        team: '',
        seedsSown: 1,
      })),
  };
}

/** Comparisons of as many simulated classes as are asked for, read in half centimetres. */
export function* simulatedClasses(
  situation: Situation,
  classes: number,
  seed: number,
): Generator<Comparison> {
  const design = designOf(situation);
  const chance = randomGenerator(seed);
  const groups = design.treatments.map(({ id, name, isControl }) => ({ id, name, isControl }));
  const units = design.units.map(({ id, number, treatmentId, sownOn }) => ({
    id,
    number,
    groupId: treatmentId,
    sownOn,
  }));
  for (let index = 0; index < classes; index += 1) {
    yield compareTreatments({
      treatments: groups,
      units,
      readings: readingsOf(situation, design, chance),
      day: DAY,
      rule: 'only_up',
      design,
    });
  }
}

/** What the place of each unit does to its plant, as a factor, in a layout of its own. */
function placesOf({ sill, pots }: Situation, treatments: number, chance: RandomGenerator): number[] {
  if (!sill) return Array.from({ length: treatments * pots }, () => 1);
  const grid = { rows: sill.rows, columns: sill.columns, brightSide: 'top' as const };
  const places = gridPlaces([grid]).slice(0, treatments * pots);
  const groups = sill.isEven ? Object.values(standingsOf(places, [grid])) : [];
  const factors: number[] = [];
  for (const unit of balancedLayout(treatments, pots, groups, chance.integer(0, 4_294_967_295))) {
    const { row } = places[unit.number - 1] as { row: number };
    const share = sill.rows > 1 ? (row - 1) / (sill.rows - 1) : 0.5;
    factors[unit.treatment * pots + unit.replicate - 1] = 1 + sill.lean * (0.5 - share);
  }
  return factors;
}

function readingsOf(situation: Situation, design: Design, chance: RandomGenerator) {
  const places = placesOf(situation, design.treatments.length, chance);
  const { levels, effect = 0, together = 0, cv = 0.22, neverUp, dies, hasBlocks = false } = situation;
  const levelsOf = new Map(design.treatments.map((treatment) => [treatment.id, treatment.levels]));
  const sigmaOf = new Map(
    design.treatments.map(({ id }, at) => [id, logSpread(cv * (situation.spreads?.[at] ?? 1))]),
  );
  const blocks = Array.from({ length: situation.pots }, () => Math.exp(BLOCK_SD * chance.normal()));
  return design.units.map((unit, index) => {
    const [first = 0, second = 0] = levelsOf.get(unit.treatmentId) ?? [];
    const shape = { unitId: unit.id, day: DAY, value: null };
    if (neverUp && chance.happens(neverUp(first))) return { ...shape, state: 'not_emerged' as const };
    if (dies && chance.happens(dies(first))) return { ...shape, state: 'dead' as const };
    const isLast = first === (levels[0] ?? 1) - 1 && second === (levels[1] ?? 1) - 1;
    const mean =
      MEAN_MM *
      (1 + (effect * first) / Math.max(1, (levels[0] ?? 1) - 1)) *
      (1 + (isLast ? together : 0)) *
      (hasBlocks ? (blocks[index % situation.pots] ?? 1) : 1) *
      (places[index] ?? 1);
    const sigma = sigmaOf.get(unit.treatmentId) ?? 0;
    const height = mean * Math.exp(sigma * chance.normal() - sigma ** 2 / 2);
    return { ...shape, state: 'emerged' as const, value: Math.round(height / STEP_MM) * STEP_MM };
  });
}

/** The SD of the logarithm of a value whose SD is `cv` of its mean. */
function logSpread(cv: number): number {
  return Math.sqrt(Math.log(1 + cv * cv));
}
