import { describe, expect, test } from '@jest/globals';
import { POT_CORRELATION, STARTING_CROPS } from '../design/index.ts';
import { calendarDay, randomGenerator } from '../shared/index.ts';
import {
  classroomFrom,
  expectedSpread,
  growExperiment,
  type GrowthSetting,
  MISSED_READINGS,
  NO_EFFECT,
  POT_SHARE,
  POSITION_SLOPE,
  layoutPlaceOf,
  usualSpread,
} from './index.ts';

const SOWN = calendarDay('2027-03-01');
const SETTING: GrowthSetting = {
  germination: 0.8,
  daysToEmergence: { min: 4, max: 4 },
  finalHeightMm: 200,
  ratePerDay: 0.3,
  daysToFastest: 8,
  plantCv: 0.2,
  potShare: POT_SHARE,
  deathPerDay: 0,
  scale: { unit: 'mm', step: 1 },
  plantRule: 'mean',
};

const meanOf = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;
const varianceOf = (values: readonly number[]): number => {
  const mean = meanOf(values);
  return values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (values.length - 1);
};

function heights(seeds: number, changes: Partial<GrowthSetting> = {}): number[] {
  const units = Array.from({ length: 3000 }, (_, number) => ({ number, seeds, effect: NO_EFFECT }));
  return growExperiment({ ...SETTING, ...changes }, units, SOWN, [calendarDay('2027-05-01')], 3).flatMap(
    ({ mm }) => mm ?? [],
  );
}

describe('plants of one pot', () => {
  test('share the stated part of their variation: means of four vary by it and a quarter of the rest', () => {
    const sure = { germination: 1 };
    const [one, four] = [heights(1, sure), heights(4, sure)].map((found) => varianceOf(found.map(Math.log)));
    expect(Math.abs((four as number) / (one as number) - (POT_SHARE + (1 - POT_SHARE) / 4))).toBeLessThan(
      0.04,
    );
  });

  test('share some of the fate of their seeds: more pots stay empty than by chances of their own', () => {
    const empty = 1 - heights(2, { germination: 0.6 }).length / 3000;
    expect(POT_CORRELATION).toBe(0.1);
    expect(empty).toBeGreaterThan(0.4 ** 2 + 0.005);
    expect(empty).toBeLessThan(0.4 ** 2 + 0.035);
  });
});

describe('a classroom', () => {
  test('leans one way or the other, by the stated slope over many rooms, and not in the middle', () => {
    const rooms = Array.from({ length: 2000 }, (_, seed) =>
      classroomFrom(randomGenerator(seed), SETTING.scale),
    );
    const ends = rooms.map(
      (room) => room.growthAt({ along: 0.5, away: 0 }) - room.growthAt({ along: -0.5, away: 0 }),
    );
    expect(Math.abs(Math.sqrt(varianceOf(ends)) - POSITION_SLOPE)).toBeLessThan(0.01);
    expect(Math.abs(meanOf(ends))).toBeLessThan(0.01);
    expect(rooms[0]?.growthAt({ along: 0, away: 0 })).toBe(1);
  });

  test('a team is off by the same in all it reads, another by something else; readings are missed now and then', () => {
    const room = classroomFrom(randomGenerator(5), { unit: 'cm', step: 0.5 });
    const [first, same, other] = [1, 4, 5].map((unit) => room.readerOffMm(unit));
    expect(same).toBe(first);
    expect(other).not.toBe(first);
    const missed = Array.from({ length: 20_000 }, () => room.isMissed()).filter(Boolean).length / 20_000;
    expect(Math.abs(missed - MISSED_READINGS)).toBeLessThan(0.005);
  });

  test('places run from one end to the other', () => {
    expect(layoutPlaceOf({ row: 1, column: 1 }, { rows: 2, columns: 4 })).toEqual({
      along: -0.375,
      away: -0.25,
    });
    expect(layoutPlaceOf({ row: 2, column: 4 }, { rows: 2, columns: 4 })).toEqual({
      along: 0.375,
      away: 0.25,
    });
  });
});

test('what a class measured itself moves the usual spread, the more the more pots', () => {
  const crop = { habit: 'bush' as const, seedLengthMm: 10 };
  const spreadWith = (pots: number): number => expectedSpread({ ...crop, measuredSpread: { cv: 0.4, pots } });
  expect(expectedSpread(crop)).toBe(usualSpread(crop));
  expect(spreadWith(20)).toBeCloseTo(Math.sqrt((0.2 ** 2 + 0.4 ** 2) / 2), 12);
  expect(spreadWith(2000)).toBeCloseTo(0.4, 2);
});

test.each(STARTING_CROPS)('the spread of $id is a usual one, 15 to 30 of 100', (crop) => {
  expect(usualSpread(crop)).toBeGreaterThanOrEqual(0.15);
  expect(usualSpread(crop)).toBeLessThanOrEqual(0.3);
});
