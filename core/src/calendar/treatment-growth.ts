import {
  type Crop,
  type DayRange,
  isBegun,
  type Plan,
  type PlanTreatment,
  type SeedFacts,
  seedFacts,
  type SeedLot,
  sowingDayOf,
  treatmentsOf,
  seedsIn,
} from '../design/index.ts';
import type { CalendarDay, LengthScale, Outcome } from '../shared/index.ts';
import { type GrowthSetting, growthSetting } from '../simulate/index.ts';
import { emergenceWindow } from './emergence.ts';

/** What a plan is judged with: the crops and packets that it names. */
export interface PlanSurroundings {
  readonly crops: readonly Crop[];
  readonly lots: readonly SeedLot[];
}

/** A treatment with what is known of its seed in its place. */
export interface TreatmentGrowth {
  readonly treatment: PlanTreatment;
  readonly sowOn: CalendarDay;
  readonly seeds: number;
  readonly crop: Crop | undefined;
  readonly facts: SeedFacts | undefined;
  readonly window: Outcome<DayRange>;
  readonly setting: Outcome<GrowthSetting>;
}

const FINE: LengthScale = { unit: 'mm', step: 1 };
const UNKNOWN = { defined: false, reason: 'no_crop_figures' } as const;
const BEGUN = { defined: false, reason: 'begun_elsewhere' } as const;

/** Every treatment of a plan with its sowing day, emergence window and growth; undefined in words where figures lack. */
export function treatmentGrowth(plan: Plan, { crops, lots }: PlanSurroundings): TreatmentGrowth[] {
  return treatmentsOf(plan).map((treatment) => {
    const { settings } = treatment;
    const sowOn = sowingDayOf(plan, treatment);
    const seeds = seedsIn(plan, settings);
    const crop = crops.find((candidate) => candidate.id === settings.cropId);
    if (!crop) {
      return { treatment, sowOn, seeds, crop, facts: undefined, window: UNKNOWN, setting: UNKNOWN };
    }
    if (isBegun(plan)) {
      return { treatment, sowOn, seeds, crop, facts: undefined, window: BEGUN, setting: BEGUN };
    }
    const lot = lots.find((candidate) => candidate.id === settings.lotId && candidate.cropId === crop.id);
    const facts = seedFacts(crop, lot, sowOn);
    const window = emergenceWindow(crop, seenFrom(plan, crop, facts), settings.temperatureC);
    const setting =
      window.defined && facts.rate
        ? growthSetting(crop, facts.rate.share, window.value, scaleOf(plan), potMlOf(plan))
        : window.defined
          ? UNKNOWN
          : window;
    return { treatment, sowOn, seeds, crop, facts, window, setting };
  });
}

/** Without soil a seed is seen from its root on. */
function seenFrom(plan: Plan, crop: Crop, facts: SeedFacts): Pick<SeedFacts, 'daysToEmergence'> {
  if (plan.conditions.hasSoil || !crop.daysToRadicle) return facts;
  return { daysToEmergence: crop.daysToRadicle };
}

/** Volume of the smallest pot of a plan in mL; 0 without soil. */
function potMlOf({ conditions, containers }: Plan): number {
  return conditions.hasSoil ? Math.min(...containers.map(({ cellMl }) => cellMl)) : 0;
}

function scaleOf(plan: Plan): LengthScale {
  const { unit, step } = plan.measure;
  return unit === 'mm' || unit === 'cm' || unit === 'in' ? { unit, step } : FINE;
}
