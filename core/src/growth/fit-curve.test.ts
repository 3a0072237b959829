import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import { randomGenerator } from '../shared/index.ts';
import {
  areaUnder,
  bestCurve,
  type CurveKind,
  fitCurve,
  type GrowthPoint,
  growthPerDay,
  relativeGrowthRate,
  stepsOf,
  valueAt,
} from './index.ts';

interface Reference {
  fits: {
    name: string;
    kind: CurveKind;
    x: number[];
    y: number[];
    estimates: number[];
    errors: number[];
    sigma: number;
    aicc: number;
  }[];
}

// Made by R with core/reference/compare.R: nls, taken to the end by Gauss–Newton steps.
const { fits } = JSON.parse(
  readFileSync(new URL('../../reference/compare.json', import.meta.url), 'utf8'),
) as Reference;

const FIT = 1e-6;

function points(ages: readonly number[], value: (age: number) => number): GrowthPoint[] {
  return ages.map((age) => ({ age, value: value(age) }));
}

const AGES = Array.from({ length: 20 }, (_, index) => index + 4);

describe('fitted curves', () => {
  test.each(fits)('$kind against R: $name', ({ kind, x, y, estimates, errors, sigma, aicc }) => {
    const found = fitCurve(
      kind,
      points(x, (age) => y[x.indexOf(age)]!),
    );
    if (!found.defined) throw new Error(found.reason);
    found.value.parameters.forEach(({ value, error }, index) => {
      expect(Math.abs(value / estimates[index]! - 1)).toBeLessThan(FIT);
      expect(Math.abs(error / errors[index]! - 1)).toBeLessThan(FIT);
    });
    expect(Math.abs(found.value.residualError / sigma - 1)).toBeLessThan(FIT);
    expect(Math.abs(found.value.aicc / aicc - 1)).toBeLessThan(FIT);
  });

  test('two hundred noisy plants: the truth is within five standard errors', () => {
    const chance = randomGenerator(12);
    for (let plant = 0; plant < 200; plant += 1) {
      const truth = [80 + 60 * chance.uniform(), 0.2 + 0.3 * chance.uniform(), 8 + 5 * chance.uniform()];
      const kind = plant % 2 === 0 ? 'logistic' : 'gompertz';
      const found = fitCurve(
        kind,
        points(AGES, (age) => valueAt(kind, truth, age) + chance.normal()),
      );
      if (!found.defined) throw new Error(`${kind} ${truth.join(' ')}: ${found.reason}`);
      found.value.parameters.forEach(({ value, error }, index) => {
        expect(Math.abs(value - truth[index]!) / error).toBeLessThan(5);
      });
    }
  });

  test('the better of two kinds is chosen, and a line has its slope', () => {
    const wiggle = (age: number): number => Math.sin(age * 5);
    const gompertz = points(AGES, (age) => valueAt('gompertz', [90, 0.3, 9], age) + wiggle(age) / 4);
    const found = bestCurve(gompertz);
    expect(found).toMatchObject({ defined: true, value: { kind: 'gompertz' } });
    const line = fitCurve(
      'linear',
      points(AGES, (age) => 2 + 3 * age + wiggle(age)),
    );
    expect(line.defined && line.value.fastest).toBeCloseTo(3, 1);
  });

  test.each<[string, GrowthPoint[], string]>([
    ['five points', points([1, 2, 3, 4, 5], (age) => age * age), 'too_few_points'],
    ['the same height on all days', points(AGES, () => 30), 'no_growth'],
    ['nothing above 0', points(AGES, () => 0), 'no_growth'],
    [
      'before the bend',
      points([4, 5, 6, 7, 8, 9], (age) => Math.exp(age * 0.4) + (age % 2) / 10),
      'not_bent_yet',
    ],
    ['shrinking', points(AGES, (age) => 60 / (1 + Math.exp(0.5 * (age - 12))) + (age % 2)), 'no_growth'],
  ])('refused: %s', (_, given, reason) => {
    expect(fitCurve('logistic', given)).toEqual({ defined: false, reason });
  });
});

describe('rates', () => {
  const given = [
    { age: 5, value: 0 },
    { age: 7, value: 10 },
    { age: 10, value: 20 },
    { age: 11, value: 40 },
  ];

  test('steps between readings, relative growth only from above 0', () => {
    expect(stepsOf(given).map(({ change, perDay }) => [change, perDay])).toEqual([
      [10, 5],
      [10, 10 / 3],
      [20, 20],
    ]);
    expect(stepsOf(given)[0]?.relative).toEqual({ defined: false, reason: 'not_above_zero' });
    const last = stepsOf(given)[2]!.relative;
    expect(last.defined && last.value).toBeCloseTo(Math.LN2, 12);
  });

  test('growth a day, area and relative growth rate by hand', () => {
    expect(growthPerDay(given)).toEqual({ defined: true, value: 40 / 6 });
    expect(areaUnder(given)).toEqual({ defined: true, value: 10 + 45 + 30 });
    const doubling = points([1, 2, 4, 7], (age) => 2 ** age);
    const rate = relativeGrowthRate(doubling);
    expect(rate.defined && rate.value).toBeCloseTo(Math.LN2, 12);
  });

  test.each([
    ['growth a day of one', growthPerDay(given.slice(0, 1)), 'one_value'],
    ['growth a day of none', growthPerDay([]), 'no_values'],
    ['area of one', areaUnder(given.slice(0, 1)), 'one_value'],
    ['relative rate of zeros', relativeGrowthRate(given.slice(0, 1)), 'not_above_zero'],
    ['relative rate of two', relativeGrowthRate(given.slice(0, 3)), 'too_few_points'],
  ])('undefined: %s', (_, outcome, reason) => {
    expect(outcome).toEqual({ defined: false, reason });
  });
});
