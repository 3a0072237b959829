import { say } from '@bright-sprout/words/design';
import type { Aspect, Dose, LightPlace, Plan, PlanFactor, PlanLevel } from './plan.ts';

/** The most levels that a factor may have. */
export const MOST_LEVELS = 8;
/** The most treatments that a plan may have. */
export const MOST_TREATMENTS = 24;
/** The most units that a plan may have. */
export const MOST_UNITS = 400;

/** The letter of a treatment by its order, from 0. Beyond `Z` letters go on as `A1`, `B1`, … */
export function treatmentCode(index: number): string {
  const letter = String.fromCharCode(65 + (index % 26));
  const round = Math.floor(index / 26);
  return round === 0 ? letter : `${letter}${round}`;
}

/** What a treatment sets for its units, levels and the plan taken together. */
export interface TreatmentSettings {
  readonly cropId: string;
  readonly lotId: string | null;
  readonly plants: number;
  /** Seeds in each unit; `null` for as many a plant as the plan has. */
  readonly seeds: number | null;
  readonly ageDays: number | null;
  readonly depthMm: number | null;
  readonly waterMl: number;
  readonly temperatureC: number;
  readonly light: LightPlace;
  readonly isCovered: boolean;
  readonly medium: string;
  /** What each unit gets, of every factor that gives something; amounts of one material added up. */
  readonly doses: readonly Dose[];
}

/** One combination of levels. */
export interface PlanTreatment {
  readonly code: string;
  readonly name: string;
  readonly isControl: boolean;
  /** Level number of each factor, from 0. */
  readonly levels: readonly number[];
  readonly settings: TreatmentSettings;
}

/** A level that sets nothing. */
export const PLAIN_LEVEL: Omit<PlanLevel, 'name'> = {
  isControl: false,
  cropId: null,
  lotId: null,
  plants: null,
  seeds: null,
  sorted: null,
  ageDays: null,
  depthMm: null,
  waterMl: null,
  temperatureC: null,
  light: null,
  isCovered: null,
  medium: null,
  dose: null,
};

/** The key of a combination in `leftOut`. */
export function combinationKey(levels: readonly number[]): string {
  return levels.join('.');
}

/**
 * Every combination of levels that is grown, the last factor varying fastest. A plan without factors has one
 * treatment. The control is the combination of control levels, when every factor has one.
 */
export function treatmentsOf(
  plan: Pick<Plan, 'factors' | 'leftOut' | 'cropId' | 'lotId' | 'plantsPerUnit' | 'conditions'>,
): PlanTreatment[] {
  const combinations = plan.factors.reduce<number[][]>(
    (sofar, factor) => sofar.flatMap((levels) => factor.levels.map((_, index) => [...levels, index])),
    [[]],
  );
  return combinations
    .filter((levels) => levels.length === 0 || !plan.leftOut.includes(combinationKey(levels)))
    .map((levels, index) => {
      const chosen = levels.map((level, factor) => plan.factors[factor]?.levels[level] as PlanLevel);
      return {
        code: treatmentCode(index),
        name: chosen.length === 0 ? say('allAlike') : chosen.map((level) => level.name).join(' · '),
        isControl: chosen.length > 0 && chosen.every((level) => level.isControl),
        levels,
        settings: settingsOf(plan, chosen),
      };
    });
}

function settingsOf(
  plan: Pick<Plan, 'cropId' | 'lotId' | 'plantsPerUnit' | 'conditions'>,
  levels: readonly PlanLevel[],
): TreatmentSettings {
  const { conditions } = plan;
  const set = <K extends keyof PlanLevel>(key: K): NonNullable<PlanLevel[K]> | null =>
    levels.reduce<NonNullable<PlanLevel[K]> | null>((value, level) => level[key] ?? value, null);
  return {
    cropId: set('cropId') ?? plan.cropId,
    lotId: set('lotId') ?? plan.lotId,
    seeds: set('seeds'),
    plants: set('plants') ?? plan.plantsPerUnit,
    ageDays: set('ageDays'),
    depthMm: set('depthMm'),
    waterMl: set('waterMl') ?? conditions.waterMl,
    temperatureC: set('temperatureC') ?? conditions.temperatureC,
    light: set('light') ?? conditions.light,
    isCovered: set('isCovered') ?? conditions.cover === 'until_up',
    medium: set('medium') ?? conditions.medium,
    doses: addedUp(levels.flatMap(({ dose }) => (dose && dose.amount > 0 ? [dose] : []))),
  };
}

function addedUp(doses: readonly Dose[]): Dose[] {
  const totals = new Map<string, Dose>();
  for (const dose of doses) {
    const key = JSON.stringify([dose.material, dose.unit]);
    totals.set(key, { ...dose, amount: dose.amount + (totals.get(key)?.amount ?? 0) });
  }
  return [...totals.values()];
}

/** The field of a level that each aspect is set by; none for what is only a name. */
export const ASPECT_FIELDS: Record<
  Aspect,
  keyof Omit<PlanLevel, 'name' | 'isControl' | 'lotId' | 'seeds' | 'sorted'> | null
> = {
  water: 'waterMl',
  light: 'light',
  temperature: 'temperatureC',
  additive: 'dose',
  medium: 'medium',
  cover: 'isCovered',
  depth: 'depthMm',
  density: 'plants',
  crop: 'cropId',
  age: 'ageDays',
  sorting: null,
  other: null,
};

/** How much of its factor a level sets, where that is an amount: mL, mm, °C, days, plants, or the dose. */
export function levelAmount(aspect: Aspect, level: PlanLevel): number | null {
  if (aspect === 'additive') return level.dose?.amount ?? null;
  const field = ASPECT_FIELDS[aspect];
  const value = field === null ? null : level[field];
  return typeof value === 'number' ? value : null;
}

/** Aspects in which the levels of a factor differ, whether or not the factor is about them. */
export function differingAspects(factor: PlanFactor): Aspect[] {
  const aspects = Object.entries(ASPECT_FIELDS) as [Aspect, keyof PlanLevel | null][];
  return aspects
    .filter(
      ([, field]) => field && new Set(factor.levels.map((level) => JSON.stringify(level[field]))).size > 1,
    )
    .map(([aspect]) => aspect);
}

/** Answers to guess at, with a treatment called by its new name wherever they name it whole. */
export function renamedChoices(choices: readonly string[], before: string, after: string): string[] {
  const name = before.trim();
  if (name === '' || after.trim() === '') return [...choices];
  const plain = name.replaceAll(/[.*+?^${}()|[\]\\]/g, String.raw`\$&`);
  const whole = new RegExp(String.raw`(?<![\p{L}\p{N}])${plain}(?![\p{L}\p{N}])`, 'giu');
  return choices.map((choice) => choice.replace(whole, () => after.trim()));
}

/** Ids of the crops that a plan grows, in the order of its treatments; its own crop may not be among them. */
export function grownCrops(plan: Parameters<typeof treatmentsOf>[0]): string[] {
  return [...new Set(treatmentsOf(plan).map(({ settings }) => settings.cropId))];
}

/** Treatments that a plan's comparison takes together. */
export interface ComparedGroup {
  readonly name: string;
  readonly isControl: boolean;
  /** Indices into the plan's treatments. */
  readonly treatments: readonly number[];
}

/**
 * The groups that the planned comparison sets against each other: the treatments, or in a crossed design the
 * levels of the first factor, each over all levels of the others.
 */
export function comparedGroups(plan: Parameters<typeof treatmentsOf>[0]): ComparedGroup[] {
  const treatments = treatmentsOf(plan);
  const [first] = plan.factors;
  if (!first || plan.factors.length === 1) {
    return treatments.map(({ name, isControl }, index) => ({ name, isControl, treatments: [index] }));
  }
  return first.levels
    .map(({ name, isControl }, level) => ({
      name,
      isControl,
      treatments: treatments.flatMap((treatment, index) => (treatment.levels[0] === level ? [index] : [])),
    }))
    .filter((group) => group.treatments.length > 0);
}
