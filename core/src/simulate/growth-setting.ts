import type { Crop, DayRange } from '../design/index.ts';
import { defined, type LengthScale, notDefined, type Outcome } from '../shared/index.ts';
import type { GrowthSetting } from './grow-experiment.ts';
import { expectedSpread, POT_SHARE } from './plant-spread.ts';

const DAY = 21;
const RATE = 0.25;
const LEVELS_OFF = 1.6;
const LEAST_ABOVE = 1.05;
const LEAST_DAYS = 3;
const DEATH_A_DAY = 0.002;

/**
 * A growth setting from a crop's figures: a logistic of 0.25 a day that passes the crop's height at day 21 and
 * levels off at 1.6 times that, or at the mature height where that is less. It is meant for the first weeks.
 * @param window days to emergence in this room
 * @returns undefined for a crop without a height at day 21
 */
export function growthSetting(
  crop: Pick<Crop, 'heightAtDay21Mm' | 'matureHeightMm' | 'habit' | 'seedLengthMm' | 'measuredSpread'>,
  germination: number,
  window: DayRange,
  scale: LengthScale,
): Outcome<GrowthSetting> {
  const at21 = crop.heightAtDay21Mm;
  if (at21 === null || at21 <= 0) return notDefined('no_crop_figures');
  const final = Math.max(Math.min(crop.matureHeightMm ?? Infinity, LEVELS_OFF * at21), LEAST_ABOVE * at21);
  const middle = Math.sqrt(window.min * window.max);
  return defined({
    germination,
    daysToEmergence: window,
    finalHeightMm: final,
    ratePerDay: RATE,
    daysToFastest: Math.max(LEAST_DAYS, DAY - middle + Math.log(final / at21 - 1) / RATE),
    plantCv: expectedSpread(crop),
    potShare: POT_SHARE,
    deathPerDay: DEATH_A_DAY,
    scale,
  });
}
