import { describe, expect, test } from '@jest/globals';
import { STARTING_CROPS } from '../design/index.ts';
import { calendarDay } from '../shared/index.ts';
import {
  chanceReady,
  chanceUp,
  growExperiment,
  type GrowthSetting,
  growthSetting,
  heightInPot,
  NO_EFFECT,
  typicalHeight,
} from './index.ts';

const SOWN = calendarDay('2027-03-01');
const SCALE = { unit: 'mm', step: 1 } as const;
const OAT = STARTING_CROPS.find((crop) => crop.id === 'oat')!;

function settingOf(changes: Partial<GrowthSetting> = {}): GrowthSetting {
  const found = growthSetting(OAT, 1, { min: 5, max: 9 }, SCALE);
  if (!found.defined) throw new Error(found.reason);
  return { ...found.value, ...changes };
}

function heights(setting: GrowthSetting, seeds: number, keep?: number): number[] {
  const units = Array.from({ length: 400 }, (_, number) => ({
    number,
    seeds,
    ...(keep === undefined ? {} : { keep }),
    effect: NO_EFFECT,
  }));
  const grown = growExperiment(setting, units, SOWN, [calendarDay('2027-03-22')], 4);
  return grown.flatMap(({ mm }) => (mm === null ? [] : [mm]));
}

const meanOf = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;

describe('a growth setting', () => {
  test.each(STARTING_CROPS.filter((crop) => crop.heightAtDay21Mm !== null && crop.daysToEmergence !== null))(
    'of $id passes its height at day 21, where the days allow it',
    (crop) => {
      const window = crop.daysToEmergence!;
      const found = growthSetting(crop, 1, window, SCALE);
      if (!found.defined) throw new Error(found.reason);
      const { finalHeightMm, ratePerDay, daysToFastest } = found.value;
      const age = 21 - Math.sqrt(window.min * window.max);
      const at21 = finalHeightMm / (1 + Math.exp(-ratePerDay * (age - daysToFastest)));
      const isFloored = daysToFastest === 3;
      expect(at21 / crop.heightAtDay21Mm!).toBeLessThanOrEqual(1.0001);
      if (!isFloored) expect(at21 / crop.heightAtDay21Mm!).toBeCloseTo(1, 6);
    },
  );

  test('goes on after the third week, as high and as steep as it was, to what its pot allows', () => {
    const sunflower = STARTING_CROPS.find(({ id }) => id === 'sunflower')!;
    const window = sunflower.daysToEmergence!;
    const found = growthSetting(sunflower, 1, window, SCALE, 450);
    if (!found.defined) throw new Error(found.reason);
    const setting = found.value;
    const day21 = 21 - Math.sqrt(window.min * window.max);
    const slope = (from: number) =>
      (typicalHeight(setting, from + 0.001) - typicalHeight(setting, from)) / 0.001;
    expect(typicalHeight(setting, day21 + 1e-9)).toBeCloseTo(typicalHeight(setting, day21), 4);
    expect(slope(day21 + 1e-6) / slope(day21 - 0.002)).toBeCloseTo(1, 2);
    // 2 m × (0.45 L ÷ 20 L) ^ 0.172 = 1.04 m
    expect(heightInPot(2000, 450) / 1000).toBeCloseTo(1.041, 2);
    expect(typicalHeight(setting, 400) / heightInPot(sunflower.matureHeightMm!, 450)).toBeCloseTo(1, 6);
    expect(chanceReady(120, 400, { ...setting, deathPerDay: 0 })).toBeGreaterThan(0.95);
    expect(heightInPot(300, 5000)).toBe(300);
  });

  test.each(STARTING_CROPS.filter((crop) => crop.heightAtDay21Mm !== null && crop.daysToEmergence !== null))(
    'of $id never grows down, and never above the crop',
    (crop) => {
      for (const potMl of [0, 40, 450, 8000]) {
        const found = growthSetting(crop, 1, crop.daysToEmergence!, SCALE, potMl);
        if (!found.defined) throw new Error(found.reason);
        const heights = Array.from({ length: 200 }, (_, day) => typicalHeight(found.value, day));
        expect(heights.every((height, day) => day === 0 || height >= heights[day - 1]! - 1e-6)).toBe(true);
        const most = Math.max(crop.matureHeightMm ?? Infinity, 1.05 * crop.heightAtDay21Mm!);
        expect(heights.at(-1)!).toBeLessThanOrEqual(most * 1.0001);
      }
    },
  );

  test('of a crop without a height is not defined', () => {
    expect(growthSetting({ ...OAT, heightAtDay21Mm: null }, 1, { min: 5, max: 9 }, SCALE)).toEqual({
      defined: false,
      reason: 'no_crop_figures',
    });
  });
});

describe('what is read of a pot', () => {
  const setting = settingOf({ deathPerDay: 0 });

  test('the tallest of five is taller than an only plant; a marked one and the mean are not', () => {
    const only = meanOf(heights(setting, 1));
    expect(meanOf(heights(setting, 5)) / only).toBeGreaterThan(1.15);
    const marked = meanOf(heights({ ...setting, plantRule: 'mean' }, 5));
    expect(Math.abs(marked / only - 1)).toBeLessThan(0.05);
  });

  test('thinning to one keeps the first one up', () => {
    const kept = heights(setting, 5, 1);
    const tagged = heights({ ...setting, plantRule: 'tagged' }, 5);
    expect(Math.abs(meanOf(kept) / meanOf(tagged) - 1)).toBeLessThan(0.05);
    expect(meanOf(kept)).toBeLessThan(meanOf(heights(setting, 5)));
  });
});

describe('the model in closed form', () => {
  test('the usual range holds the middle 95 % of days to emergence', () => {
    const window = { min: 5, max: 9 };
    expect(chanceUp(9, window) - chanceUp(5, window)).toBeCloseTo(0.9545, 3);
    expect([chanceUp(0, window), chanceUp(-3, window)]).toEqual([0, 0]);
    expect([chanceUp(6.9, { min: 7, max: 7 }), chanceUp(7, { min: 7, max: 7 })]).toEqual([0, 1]);
  });

  test('readiness grows with days, falls with the height asked, and never passes germination', () => {
    const setting = settingOf({ germination: 0.8 });
    let before = 0;
    for (let days = 1; days < 40; days += 1) {
      const chance = chanceReady(days, 0, { ...setting, deathPerDay: 0 });
      expect(chance).toBeGreaterThanOrEqual(before - 1e-9);
      expect(chance).toBeLessThanOrEqual(0.8 + 1e-9);
      before = chance;
    }
    const byHeight = [0, 20, 60, 120, 400].map((mm) => chanceReady(21, mm, setting));
    expect(byHeight).toEqual([...byHeight].sort((a, b) => b - a));
    expect(chanceReady(0, 0, setting)).toBe(0);
  });
});
