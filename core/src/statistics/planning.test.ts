import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import { randomGenerator } from '../shared/index.ts';
import {
  associationOf,
  binomialAtLeast,
  binomialTerms,
  cramersV,
  type PlannedComparison,
  plannedPower,
  updatedShare,
  visibleChange,
  welchT,
  wilson,
} from './index.ts';

interface Reference {
  powerT: { n: number; d: number; power: number }[];
  cramersV: { first: string[]; second: string[]; v: number }[];
  binomial: { n: number; p: number; k: number; atLeast: number }[];
  wilson: { count: number; of: number; low: number; high: number }[];
  beta: {
    prior: number;
    weight: number;
    up: number;
    sown: number;
    mean: number;
    low: number;
    high: number;
  }[];
}

// Made by SciPy with core/reference/planning.py.
const fromScipy = JSON.parse(
  readFileSync(new URL('../../reference/planning.json', import.meta.url), 'utf8'),
) as Reference;

// Made by SciPy with core/reference/planned_power.py.
const planned = JSON.parse(
  readFileSync(new URL('../../reference/planned-power.json', import.meta.url), 'utf8'),
) as (PlannedComparison & { change: number; power: number })[];

function relative(found: number, wanted: number): number {
  return Math.abs(found - wanted) / Math.max(Math.abs(wanted), 1e-300);
}

/** Two groups of n units each, all with a value, whose spread does not change. */
const TWO: PlannedComparison = {
  groups: 2,
  units: 10,
  cells: 2,
  blocks: 1,
  hasControl: true,
  questions: 1,
  tested: 1,
  cv: 0.2,
};

describe('power', () => {
  // Where all count as one spread, the classical power: the noncentral t distribution.
  const pairs = fromScipy.powerT.filter(({ n }) => n === 2);
  test.each(pairs)('of two units each, which count as one spread, d $d', ({ n, d, power }) => {
    const found = plannedPower({ ...TWO, units: n, cv: 0.001 }, d * 0.001);
    expect(Math.abs(found - power)).toBeLessThan(0.02);
  });

  test.each(planned)(
    'of $groups groups of $units, $cells combinations, $blocks blocks, $questions questions, change $change',
    ({ change, power, ...comparison }) => {
      expect(Math.abs(plannedPower(comparison, change) - power)).toBeLessThan(0.035);
    },
  );

  test('a change of several times the base is looked for too, and one beyond all bounds is not seen', () => {
    const rough = visibleChange({ ...TWO, units: 4, cv: 0.36 });
    if (!rough.defined) throw new Error(rough.reason);
    expect(rough.value.more).toBeGreaterThan(1);
    expect(plannedPower({ ...TWO, units: 4, cv: 0.36 }, rough.value.more)).toBeCloseTo(0.8, 4);
  });

  test('is none where nothing varies or nothing is left to judge by', () => {
    expect(plannedPower({ ...TWO, cv: 0 }, 0.5)).toBe(0);
    expect(plannedPower({ ...TWO, units: 2, blocks: 3 }, 0.5)).toBe(0);
    expect(plannedPower({ ...TWO, units: 2, cv: 0.05, blocks: 2 }, 0.9)).toBeGreaterThan(0.4);
    expect(visibleChange({ ...TWO, units: 2, cv: 0.01 })).toMatchObject({ defined: true });
  });

  test('4 000 made-up pairs of groups are told to differ about as often', () => {
    const chance = randomGenerator(77);
    const change = 0.35;
    let found = 0;
    for (let time = 0; time < 4000; time += 1) {
      const [base, end] = [1, 1 + change].map((level) =>
        Array.from({ length: 6 }, () => level * (1 + 0.2 * chance.normal())),
      );
      const test = welchT(base!, end!);
      if (test.defined && test.value.p < 0.05) found += 1;
    }
    expect(Math.abs(found / 4000 - plannedPower({ ...TWO, units: 6 }, change))).toBeLessThan(0.04);
  });

  test('rises with pots and with the change, falls with blocks, questions and groups', () => {
    const power = (changes: Partial<PlannedComparison>, change = 0.3) =>
      plannedPower({ ...TWO, ...changes }, change);
    expect(power({ units: 14 })).toBeGreaterThan(power({}));
    expect(power({}, 0.4)).toBeGreaterThan(power({}));
    expect(power({}, -0.3)).toBeGreaterThan(power({}));
    expect(power({ blocks: 10 })).toBeLessThan(power({}));
    expect(power({ groups: 4, cells: 4 })).toBeLessThan(power({ cells: 3 }));
    expect(power({ cells: 4, questions: 3 })).toBeLessThan(power({ cells: 4 }));
    expect(power({}, 0)).toBeCloseTo(0.05, 2);
  });

  test('the smallest change is the one with a power of 0.8, both ways', () => {
    for (const planned of [TWO, { ...TWO, groups: 5, cells: 5 }, { ...TWO, cells: 4, questions: 3 }]) {
      const found = visibleChange(planned);
      if (!found.defined || !found.value.less.defined) throw new Error('defined');
      expect(plannedPower(planned, found.value.more)).toBeCloseTo(0.8, 5);
      expect(plannedPower(planned, -found.value.less.value)).toBeCloseTo(0.8, 5);
    }
  });

  test('is not defined where nothing can be compared, or nothing would show', () => {
    expect(visibleChange({ ...TWO, groups: 1 })).toEqual({ defined: false, reason: 'too_few_groups' });
    expect(visibleChange({ ...TWO, units: 1.9 })).toEqual({ defined: false, reason: 'group_too_small' });
    expect(visibleChange({ ...TWO, units: 2, cv: 3 })).toEqual({ defined: false, reason: 'group_too_small' });
  });
});

describe('association', () => {
  test.each(fromScipy.cramersV)('V of a table with $first.length units', ({ first, second, v }) => {
    const found = cramersV(first, second);
    expect(found.defined && Math.abs(found.value - v)).toBeLessThan(1e-12);
  });

  test('the reference of 5 and 5 on two sides is the share of arrangements as lopsided', () => {
    const found = associationOf([...'aaaaabbbbb'], [...'xxxxxyyyyy']);
    expect(found.defined && found.value.v).toBe(1);
    expect(found.defined && Math.abs(found.value.p - 2 / 252)).toBeLessThan(0.01);
    const mixed = associationOf([...'ababababab'], [...'xxxxxyyyyy']);
    expect(mixed.defined && mixed.value.p).toBeGreaterThan(0.5);
  });

  test('is not defined when all stand in one place', () => {
    expect(cramersV(['a', 'b'], ['x', 'x'])).toEqual({ defined: false, reason: 'one_category' });
    expect(associationOf(['a', 'a'], ['x', 'y'])).toEqual({ defined: false, reason: 'one_category' });
    expect(cramersV(['x', 'x'], ['a', 'b'])).toEqual({ defined: false, reason: 'one_category' });
    expect(associationOf(['x', 'y'], ['a', 'a'])).toEqual({ defined: false, reason: 'one_category' });
  });
});

describe('binomial', () => {
  test.each(fromScipy.binomial)('at least $k of $n at $p', ({ n, p, k, atLeast }) => {
    expect(Math.abs(binomialAtLeast(k, n, p) - atLeast)).toBeLessThan(1e-9 * Math.max(atLeast, 1e-9));
  });
  test('edges: certain, impossible, nothing asked', () => {
    expect([binomialAtLeast(3, 3, 1), binomialAtLeast(1, 9, 0), binomialAtLeast(0, 0, 0.5)]).toEqual([
      1, 0, 1,
    ]);
    expect(binomialAtLeast(2, 1, 0.5)).toBe(0);
    expect(binomialTerms(2, 0.5)).toEqual([0.25, 0.5, 0.25]);
  });
});

describe('shares', () => {
  test.each(fromScipy.wilson)('Wilson interval of $count of $of', ({ count, of, low, high }) => {
    const found = wilson(count, of);
    expect(found.defined && Math.abs(found.value.low - low)).toBeLessThan(1e-9);
    expect(found.defined && Math.abs(found.value.high - high)).toBeLessThan(1e-9);
  });
  test('a share of nothing is not defined', () => {
    expect(wilson(0, 0)).toEqual({ defined: false, reason: 'no_values' });
  });
  test.each(fromScipy.beta)(
    'packet of $prior, $up of $sown up',
    ({ prior, weight, up, sown, mean, low, high }) => {
      const found = updatedShare(prior, weight, up, sown);
      expect(relative(found.share, mean)).toBeLessThan(1e-9);
      expect(relative(found.low, low)).toBeLessThan(1e-6);
      expect(relative(found.high, high)).toBeLessThan(1e-6);
    },
  );
});
