import { describe, expect, test } from '@jest/globals';
import { addDays, calendarDay } from '../shared/index.ts';
import { growExperiment, type GrowthSetting, NO_EFFECT } from './index.ts';

const SOWN = calendarDay('2026-03-02');
const DAYS = Array.from({ length: 24 }, (_, index) => addDays(SOWN, index + 1));

const SETTING: GrowthSetting = {
  germination: 0.8,
  daysToEmergence: { min: 5, max: 10 },
  finalHeightMm: 120,
  ratePerDay: 0.3,
  daysToFastest: 8,
  plantCv: 0.2,
  deathPerDay: 0,
  scale: { unit: 'cm', step: 0.5 },
};

function grow(changes: Partial<GrowthSetting> = {}, effect = NO_EFFECT, count = 400, seed = 3) {
  const units = Array.from({ length: count }, (_, index) => ({ number: index + 1, seeds: 1, effect }));
  return growExperiment({ ...SETTING, ...changes }, units, SOWN, DAYS, seed);
}

function lastDay(readings: ReturnType<typeof grow>) {
  return readings.filter((reading) => reading.day === DAYS.at(-1));
}

function meanHeight(readings: ReturnType<typeof grow>): number {
  const heights = lastDay(readings).flatMap((reading) => reading.mm ?? []);
  return heights.reduce((sum, height) => sum + height, 0) / heights.length;
}

describe('grown experiments', () => {
  test('the same seed grows the same plants', () => {
    expect(grow()).toEqual(grow());
    expect(grow({}, NO_EFFECT, 20, 4)).not.toEqual(grow({}, NO_EFFECT, 20, 5));
  });

  test('about as many come up as the germination rate says', () => {
    const up = lastDay(grow()).filter((reading) => reading.state === 'emerged').length;
    expect(up / 400).toBeGreaterThan(0.74);
    expect(up / 400).toBeLessThan(0.86);
    expect(lastDay(grow({ germination: 0 })).every((reading) => reading.state === 'not_emerged')).toBe(true);
    expect(lastDay(grow({ germination: 1 })).every((reading) => reading.state === 'emerged')).toBe(true);
  });

  test('readings lie on the marks of the ruler, and nothing is up on the first day', () => {
    const readings = grow();
    for (const { mm } of readings) if (mm !== null) expect(mm % 5).toBe(0);
    expect(
      readings.filter((reading) => reading.day === DAYS[0]).every((reading) => reading.mm === null),
    ).toBe(true);
  });

  test('effects do what they say', () => {
    const plain = meanHeight(grow());
    expect(meanHeight(grow({}, { ...NO_EFFECT, finalHeight: 0.5 })) / plain).toBeCloseTo(0.5, 1);
    expect(meanHeight(grow({}, { ...NO_EFFECT, emergenceTime: 1.5 }))).toBeLessThan(plain);
    const none = lastDay(grow({}, { ...NO_EFFECT, germination: 0 }));
    expect(none.every((reading) => reading.state === 'not_emerged')).toBe(true);
  });

  test('plants die when the hazard says so, and a dead plant has no height', () => {
    const readings = lastDay(grow({ deathPerDay: 0.05 }));
    const dead = readings.filter((reading) => reading.state === 'dead');
    expect(dead.length).toBeGreaterThan(80);
    expect(dead.every((reading) => reading.mm === null)).toBe(true);
  });
});
