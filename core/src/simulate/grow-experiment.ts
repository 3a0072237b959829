import { shareInPot } from '../design/index.ts';
import {
  type CalendarDay,
  type RandomGenerator,
  randomGenerator,
  daysBetween,
  type LengthScale,
  nearestMark,
  toMillimetres,
} from '../shared/index.ts';

/** What a treatment does to a plant, as multipliers on the untreated plant. */
export interface TreatmentEffect {
  readonly germination: number;
  readonly emergenceTime: number;
  readonly growthRate: number;
  readonly finalHeight: number;
}

/** A treatment without effect. */
export const NO_EFFECT: TreatmentEffect = {
  germination: 1,
  emergenceTime: 1,
  growthRate: 1,
  finalHeight: 1,
};

/** The crop and place that plants grow in. */
export interface GrowthSetting {
  /** Probability that an untreated seed comes up, 0–1. */
  readonly germination: number;
  /** Usual days to emergence. */
  readonly daysToEmergence: { readonly min: number; readonly max: number };
  /** Height that growth levels off at, in mm. */
  readonly finalHeightMm: number;
  /** Steepness of the logistic curve, per day. */
  readonly ratePerDay: number;
  /** Days from emergence to the fastest growth. */
  readonly daysToFastest: number;
  /** What the plant does after its first weeks; without it, it stays on the curve of those. */
  readonly later?: LaterGrowth;
  /** Plant-to-plant coefficient of variation of height, 0–1. */
  readonly plantCv: number;
  /** Share of that variation (of variances of logarithms) that plants of one pot have in common, 0–1; 0 when left out. */
  readonly potShare?: number;
  /** Chance of death a day once up. */
  readonly deathPerDay: number;
  readonly scale: LengthScale;
  /** Which plant of a unit is read; the tallest when left out. */
  readonly plantRule?: 'tallest' | 'tagged' | 'mean';
}

/** A second logistic, from a day on. */
export interface LaterGrowth {
  /** Days from emergence after which it holds. */
  readonly fromDays: number;
  readonly finalHeightMm: number;
  readonly ratePerDay: number;
  readonly daysToFastest: number;
}

/** Height of a typical plant so many days after it came up, in mm. */
export function typicalHeight(setting: GrowthSetting, daysUp: number): number {
  const { finalHeightMm, ratePerDay, daysToFastest } =
    setting.later && daysUp > setting.later.fromDays ? setting.later : setting;
  return finalHeightMm / (1 + Math.exp(-ratePerDay * (daysUp - daysToFastest)));
}

/** A unit to be grown. */
export interface GrownUnit {
  readonly number: number;
  readonly seeds: number;
  /** Plants kept when the unit is thinned: the first ones up. All when left out. */
  readonly keep?: number;
  readonly effect: TreatmentEffect;
  /** What its reader is off by, besides chance, in mm; 0 when left out. */
  readonly readerOffMm?: number;
}

/** What a reader finds; a reading without its day's misfortunes (missed days are the caller's). */
export interface GrownReading {
  readonly number: number;
  readonly day: CalendarDay;
  readonly state: 'not_emerged' | 'emerged' | 'dead';
  readonly mm: number | null;
}

interface Plant {
  readonly emergesAt: number;
  readonly diesAt: number;
  /** Times a typical plant's height, and its pace through time. */
  readonly size: number;
  readonly pace: number;
}

/**
 * Grows units from seed and reads them on `days`. A seed comes up with the share of its pot ({@link shareInPot}),
 * at a log-normal time about the middle of the window; height is logistic with a log-normal effect of the plant, of
 * which its pot has a part, death a constant hazard, and reading error one third of a ruler step (SD). The tallest plant
 * of a unit is read, or the first one up, or the mean, by the setting's rule.
 * @param seed same seed, same plants
 * @returns one reading for each unit and day, by day and then by unit
 */
export function growExperiment(
  setting: GrowthSetting,
  units: readonly GrownUnit[],
  sownOn: CalendarDay,
  days: readonly CalendarDay[],
  seed: number,
): GrownReading[] {
  const chance = randomGenerator(seed);
  const plants = new Map(units.map((unit) => [unit.number, plantsOf(unit, setting, chance)]));
  return days.flatMap((day) => {
    const age = daysBetween(sownOn, day);
    return units.map((unit) => readUnit(unit, plants.get(unit.number) ?? [], age, day, setting, chance));
  });
}

function plantsOf(unit: GrownUnit, setting: GrowthSetting, chance: RandomGenerator): Plant[] {
  const { effect } = unit;
  const sigma = Math.sqrt(Math.log(1 + setting.plantCv ** 2));
  const middle = Math.sqrt(setting.daysToEmergence.min * setting.daysToEmergence.max);
  const spread = Math.log(setting.daysToEmergence.max / setting.daysToEmergence.min) / 4;
  const share = shareInPot(Math.min(1, setting.germination * effect.germination), chance.normal());
  const ofPot = Math.sqrt(setting.potShare ?? 0) * chance.normal();
  const own = Math.sqrt(1 - (setting.potShare ?? 0));
  const plants: Plant[] = [];
  for (let seedNumber = 0; seedNumber < unit.seeds; seedNumber += 1) {
    const comesUp = chance.happens(share);
    const emergesAt = middle * effect.emergenceTime * Math.exp(spread * chance.normal());
    const size = Math.exp(sigma * (ofPot + own * chance.normal()) - sigma ** 2 / 2);
    const life = -Math.log(1 - chance.uniform()) / Math.max(setting.deathPerDay, 1e-9);
    if (!comesUp) continue;
    plants.push({
      emergesAt,
      diesAt: emergesAt + life,
      size: effect.finalHeight * size,
      pace: effect.growthRate,
    });
  }
  if (unit.keep === undefined || unit.keep >= plants.length) return plants;
  return plants.sort((a, b) => a.emergesAt - b.emergesAt).slice(0, unit.keep);
}

function readUnit(
  { number, readerOffMm = 0 }: GrownUnit,
  plants: readonly Plant[],
  age: number,
  day: CalendarDay,
  setting: GrowthSetting,
  chance: RandomGenerator,
): GrownReading {
  const slip = chance.normal() * (toMillimetres(setting.scale.step, setting.scale.unit) / 3);
  const up = plants.filter((plant) => plant.emergesAt <= age);
  if (up.length === 0) return { number, day, state: 'not_emerged', mm: null };
  const alive = up.filter((plant) => plant.diesAt > age);
  if (alive.length === 0) return { number, day, state: 'dead', mm: null };
  const height = heightBy(setting, alive, age);
  const mark = nearestMark(Math.max(0, height + readerOffMm + slip), setting.scale);
  return { number, day, state: 'emerged', mm: toMillimetres(mark, setting.scale.unit) };
}

function heightBy(setting: GrowthSetting, alive: readonly Plant[], age: number): number {
  const { plantRule: rule = 'tallest' } = setting;
  const heightAt = ({ size, pace, emergesAt }: Plant): number =>
    size * typicalHeight(setting, pace * (age - emergesAt));
  const heights = alive.map(heightAt);
  if (rule === 'tallest') return Math.max(...heights);
  if (rule === 'mean') return heights.reduce((sum, height) => sum + height, 0) / heights.length;
  const first = alive.reduce((early, plant) => (plant.emergesAt < early.emergesAt ? plant : early));
  return heightAt(first);
}
