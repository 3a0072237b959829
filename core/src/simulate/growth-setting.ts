import type { Crop, DayRange } from '../design/index.ts';
import { defined, type LengthScale, notDefined, type Outcome } from '../shared/index.ts';
import type { GrowthSetting, LaterGrowth } from './grow-experiment.ts';
import { expectedSpread, POT_SHARE } from './plant-spread.ts';

const DAY = 21;
const RATE = 0.25;
const LEVELS_OFF = 1.6;
const LEAST_ABOVE = 1.05;
const LEAST_DAYS = 3;
const DEATH_A_DAY = 0.002;

/** A plant of a metre needs about so many litres to reach its full height; less room makes it smaller. */
const LITRES_A_METRE = 10;
/**
 * Twice the pot gives 43 % more plant (Poorter et al. 2012, a mean of 65 studies), so mass goes with the 0.52th power of
 * the volume; height is taken to go with the cube root of mass.
 */
const HEIGHT_BY_VOLUME = Math.log2(1.43) / 3;

/**
 * The height that a crop can reach in a pot, in mm: its full height, times (volume ÷ volume that it needs) to the power
 * 0.17 where the pot holds less than 10 L for each metre of it.
 */
export function heightInPot(matureHeightMm: number, potMl: number): number {
  const neededMl = matureHeightMm * LITRES_A_METRE;
  return matureHeightMm * Math.min(1, potMl / neededMl) ** HEIGHT_BY_VOLUME;
}

/**
 * A growth setting from a crop's figures: for the first three weeks a logistic of 0.25 a day that passes the crop's
 * height at day 21 and would level off at 1.6 times that; from then on, as steeply as it grew on that day, a logistic to
 * what the crop reaches in its pot. A crop whose full height is not known, or no more, stays on the first curve.
 * @param window days to emergence in this room
 * @param potMl volume of a pot in mL; 0 without soil, where nothing is known after the first weeks
 * @returns undefined for a crop without a height at day 21
 */
export function growthSetting(
  crop: Pick<Crop, 'heightAtDay21Mm' | 'matureHeightMm' | 'habit' | 'seedLengthMm' | 'measuredSpread'>,
  germination: number,
  window: DayRange,
  scale: LengthScale,
  potMl = 0,
): Outcome<GrowthSetting> {
  const at21 = crop.heightAtDay21Mm;
  if (at21 === null || at21 <= 0) return notDefined('no_crop_figures');
  const final = Math.max(Math.min(crop.matureHeightMm ?? Infinity, LEVELS_OFF * at21), LEAST_ABOVE * at21);
  const middle = Math.sqrt(window.min * window.max);
  const daysToFastest = Math.max(LEAST_DAYS, DAY - middle + Math.log(final / at21 - 1) / RATE);
  const early = { finalHeightMm: final, ratePerDay: RATE, daysToFastest };
  const full = crop.matureHeightMm === null || potMl <= 0 ? 0 : heightInPot(crop.matureHeightMm, potMl);
  return defined({
    germination,
    daysToEmergence: window,
    ...early,
    ...(full > final ? { later: laterGrowth(early, Math.max(1, DAY - middle), full) } : {}),
    plantCv: expectedSpread(crop),
    potShare: POT_SHARE,
    deathPerDay: DEATH_A_DAY,
    scale,
  });
}

/** Goes on from a curve at its height and steepness of a day, to another height. */
function laterGrowth(
  { finalHeightMm, ratePerDay, daysToFastest }: Omit<LaterGrowth, 'fromDays'>,
  fromDays: number,
  fullMm: number,
): LaterGrowth {
  const height = finalHeightMm / (1 + Math.exp(-ratePerDay * (fromDays - daysToFastest)));
  const steepness = ratePerDay * (1 - height / finalHeightMm);
  const laterRate = steepness / (1 - height / fullMm);
  return {
    fromDays,
    finalHeightMm: fullMm,
    ratePerDay: laterRate,
    daysToFastest: fromDays + Math.log(fullMm / height - 1) / laterRate,
  };
}
