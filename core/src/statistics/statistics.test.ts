import { readFileSync } from 'node:fs';
import { describe as suite, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { valueOr } from '../shared/index.ts';
import { describe, studentizedRangeSurvival, welchAnova, welchT } from './index.ts';

interface Reference {
  name: string;
  groups: number[][];
  describe: Record<
    'values' | 'mean' | 'median' | 'sd' | 'lowerQuartile' | 'upperQuartile' | 'low' | 'high',
    number
  >[];
  welchT: Record<'difference' | 't' | 'df' | 'p' | 'low' | 'high', number>;
  welchAnova: Record<'f' | 'df1' | 'df2' | 'p', number>;
  pairs: Record<'first' | 'second' | 'difference' | 'q' | 'df', number>[];
}

// Made by R 4.2.2 with core/reference/statistics.R, which says how each figure is computed.
const references = JSON.parse(
  readFileSync(new URL('../../reference/statistics.json', import.meta.url), 'utf8'),
) as Reference[];

// Made by SciPy 1.10.1 with core/reference/studentized-range.py from the pairs of the file above.
const { pairs: pairTails } = JSON.parse(
  readFileSync(new URL('../../reference/studentized-range-scipy.json', import.meta.url), 'utf8'),
) as { pairs: { name: string; p: number[]; critical: number[] }[] };

const CLOSED_FORM = 1e-9;
const DISTRIBUTION = 1e-6;

function close(found: number, wanted: number, tolerance: number): void {
  expect(Math.abs(found - wanted)).toBeLessThanOrEqual(tolerance * Math.max(1e-12, Math.abs(wanted)));
}

suite.each(references)('against R: $name', (reference) => {
  test('describe', () => {
    reference.groups.forEach((group, index) => {
      const wanted = reference.describe[index]!;
      const found = describe(group);
      expect(found.n).toBe(group.length);
      close(valueOr(found.mean, NaN), wanted.mean, CLOSED_FORM);
      close(valueOr(found.median, NaN), wanted.median, CLOSED_FORM);
      close(valueOr(found.sd, NaN), wanted.sd, CLOSED_FORM);
      close(valueOr(found.lowerQuartile, NaN), wanted.lowerQuartile, CLOSED_FORM);
      close(valueOr(found.upperQuartile, NaN), wanted.upperQuartile, CLOSED_FORM);
      const interval = valueOr(found.interval, { low: NaN, high: NaN });
      close(interval.low, wanted.low, DISTRIBUTION);
      close(interval.high, wanted.high, DISTRIBUTION);
    });
  });

  test("Welch's t test of the first two groups", () => {
    const found = welchT(reference.groups[0]!, reference.groups[1]!);
    if (!found.defined) throw new Error(found.reason);
    const { difference, t, df, p, interval } = found.value;
    const wanted = reference.welchT;
    close(difference, wanted.difference, CLOSED_FORM);
    close(t, wanted.t, CLOSED_FORM);
    close(df, wanted.df, CLOSED_FORM);
    close(p, wanted.p, DISTRIBUTION);
    close(interval.low, wanted.low, DISTRIBUTION);
    close(interval.high, wanted.high, DISTRIBUTION);
  });

  test("Welch's analysis of variance", () => {
    const found = welchAnova(reference.groups);
    if (!found.defined) throw new Error(found.reason);
    close(found.value.f, reference.welchAnova.f, CLOSED_FORM);
    close(found.value.df1, reference.welchAnova.df1, CLOSED_FORM);
    close(found.value.df2, reference.welchAnova.df2, CLOSED_FORM);
    close(found.value.p, reference.welchAnova.p, DISTRIBUTION);
  });

  test('tails of the studentised range at its pairs', () => {
    const tails = pairTails.find(({ name }) => name === reference.name)!;
    reference.pairs.forEach(({ q, df }, index) =>
      close(studentizedRangeSurvival(q, reference.groups.length, df), tails.p[index]!, DISTRIBUTION),
    );
  });
});

suite('undefined in words, never NaN', () => {
  test.each([
    ['no values', [], 'no_values', 'no_values'],
    ['one value', [5], 'one_value', 'one_value'],
  ])('describe: %s', (_, values, sdReason, intervalReason) => {
    const found = describe(values);
    expect(found.sd).toEqual({ defined: false, reason: sdReason });
    expect(found.interval).toEqual({ defined: false, reason: intervalReason });
  });

  test('values without spread have an SD of 0 but no interval', () => {
    const found = describe([11, 11, 11]);
    expect(found.sd).toEqual({ defined: true, value: 0 });
    expect(found.interval).toEqual({ defined: false, reason: 'no_spread' });
  });

  test.each([
    ['a group of one', [4], [1, 2], 'group_too_small'],
    ['an empty group', [], [1, 2], 'group_too_small'],
    ['no spread at all', [3, 3], [5, 5], 'no_spread'],
    ['no spread but for rounding', [0.1 + 0.2, 0.3], [0.3, 0.3], 'no_spread'],
  ])('Welch t: %s', (_, first, second, reason) => {
    expect(welchT(first, second)).toEqual({ defined: false, reason });
  });

  test.each([
    ['one group', [[1, 2]], 'too_few_groups'],
    ['a group of one', [[1, 2], [3], [4, 5]], 'group_too_small'],
    [
      'a group without spread',
      [
        [1, 2],
        [3, 3],
        [4, 6],
      ],
      'no_spread',
    ],
  ])('Welch analysis of variance: %s', (_, groups, reason) => {
    expect(welchAnova(groups)).toEqual({ defined: false, reason });
  });
});

suite('properties', () => {
  const sample = fc.array(fc.double({ min: 0, max: 500, noNaN: true }), { minLength: 2, maxLength: 12 });

  test('turning the groups round turns the sign of Welch’s t', () => {
    fc.assert(
      fc.property(sample, sample, (first, second) => {
        const t = welchT(first, second);
        const turned = welchT(second, first);
        if (!t.defined || !turned.defined) return;
        expect(turned.value.difference).toBeCloseTo(-t.value.difference, 9);
        expect(t.value.p).toBeGreaterThanOrEqual(0);
        expect(t.value.p).toBeLessThanOrEqual(1);
      }),
    );
  });

  test('the interval leaves out zero exactly when p is below 0.05', () => {
    fc.assert(
      fc.property(sample, sample, (first, second) => {
        const found = welchT(first, second);
        if (!found.defined || Math.abs(found.value.p - 0.05) < 1e-6) return;
        const { low, high } = found.value.interval;
        expect(low > 0 || high < 0).toBe(found.value.p < 0.05);
      }),
    );
  });
});
