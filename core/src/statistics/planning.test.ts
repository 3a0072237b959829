import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import {
  associationOf,
  binomialAtLeast,
  binomialTerms,
  cramersV,
  powerOfF,
  powerOfT,
  smallestDifference,
  updatedShare,
  wilson,
} from './index.ts';

interface Reference {
  powerT: { n: number; d: number; power: number }[];
  powerF: { k: number; n: number; d: number; power: number }[];
  smallest: { k: number; n: number; d: number }[];
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

function relative(found: number, wanted: number): number {
  return Math.abs(found - wanted) / Math.max(Math.abs(wanted), 1e-300);
}

describe('power', () => {
  test.each(fromScipy.powerT)('t test, n $n, d $d', ({ n, d, power }) => {
    expect(relative(powerOfT(n, d), power)).toBeLessThan(1e-6);
  });
  test.each(fromScipy.powerF)('F test, $k groups of $n, d $d', ({ k, n, d, power }) => {
    expect(relative(powerOfF(k, n, d), power)).toBeLessThan(1e-6);
  });
  test.each(fromScipy.smallest)('smallest difference of $k groups of $n', ({ k, n, d }) => {
    const found = smallestDifference(k, n);
    expect(found.defined && relative(found.value, d)).toBeLessThan(1e-6);
  });
  test('is not defined where nothing can be compared', () => {
    expect(smallestDifference(1, 10)).toEqual({ defined: false, reason: 'too-few-groups' });
    expect(smallestDifference(3, 1.9)).toEqual({ defined: false, reason: 'group-too-small' });
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
    expect(cramersV(['a', 'b'], ['x', 'x'])).toEqual({ defined: false, reason: 'one-category' });
    expect(associationOf(['a', 'a'], ['x', 'y'])).toEqual({ defined: false, reason: 'one-category' });
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
    expect(wilson(0, 0)).toEqual({ defined: false, reason: 'no-values' });
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
