import { describe as suite, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Outcome } from '../shared/index.ts';
import {
  binomialTest,
  brownForsythe,
  chiSquareTest,
  dunnPairs,
  factorialAnova,
  fisherExact,
  hedgesG,
  holm,
  kaplanMeier,
  kruskalWallis,
  lettersOf,
  lineThrough,
  logRank,
  mannWhitney,
  oneWayAnova,
  pairedT,
  pearson,
  permutationTest,
  proportionDifference,
  shapiroWilk,
  signedRank,
  spearman,
  studentT,
  tukeyKramer,
  welchT,
} from './index.ts';

function reasonOf(outcome: Outcome<unknown>): string | undefined {
  return outcome.defined ? undefined : outcome.reason;
}

suite('refused in words: groups of none, one and two, and no spread', () => {
  test.each([
    ['Student t, none', () => studentT([], [1, 2]), 'group_too_small'],
    ['Student t, one and one', () => studentT([1], [2]), 'group_too_small'],
    ['Student t, no spread', () => studentT([3, 3], [5, 5]), 'no_spread'],
    ['Hedges g, one', () => hedgesG([1], [2, 3]), 'group_too_small'],
    ['Hedges g, no spread', () => hedgesG([3, 3], [5, 5]), 'no_spread'],
    ['ranks, none', () => mannWhitney([], [1]), 'group_too_small'],
    ['ranks, all the same', () => mannWhitney([2, 2], [2, 2]), 'no_spread'],
    ['permutation, none', () => permutationTest([], [1], 1), 'group_too_small'],
    ['permutation, all the same', () => permutationTest([2, 2], [2], 1), 'no_spread'],
    ['paired t, one', () => pairedT([[1, 2]]), 'group_too_small'],
    [
      'paired t, one difference',
      () =>
        pairedT([
          [1, 2],
          [5, 6],
        ]),
      'no_spread',
    ],
    ['signed ranks, none', () => signedRank([]), 'no_values'],
    ['signed ranks, no difference', () => signedRank([[1, 1]]), 'no_spread'],
    ['analysis of variance, one group', () => oneWayAnova([[1, 2]]), 'too_few_groups'],
    ['analysis of variance, ones', () => oneWayAnova([[1], [2], [3]]), 'group_too_small'],
    ['analysis of variance, an empty group', () => oneWayAnova([[1, 2], []]), 'group_too_small'],
    [
      'analysis of variance, no spread',
      () =>
        oneWayAnova([
          [1, 1],
          [2, 2],
        ]),
      'no_spread',
    ],
    ['spread, an empty group', () => brownForsythe([[1, 2], []]), 'group_too_small'],
    [
      'Tukey, no spread',
      () =>
        tukeyKramer([
          [1, 1],
          [2, 2],
        ]),
      'no_spread',
    ],
    ['Kruskal–Wallis, all the same', () => kruskalWallis([[1, 1], [1]]), 'no_spread'],
    ['Kruskal–Wallis, a group without a value', () => kruskalWallis([[1, 2], [], [3, 5]]), 'group_too_small'],
    ['Dunn, one group', () => dunnPairs([[1, 2]]), 'too_few_groups'],
    [
      'Fisher, one row',
      () =>
        fisherExact([
          [1, 2],
          [0, 0],
        ]),
      'one_category',
    ],
    [
      'chi-square, one column',
      () =>
        chiSquareTest([
          [4, 0],
          [3, 0],
        ]),
      'one_category',
    ],
    [
      'proportions, no tries',
      () => proportionDifference({ count: 0, of: 0 }, { count: 1, of: 2 }),
      'no_values',
    ],
    ['binomial, no tries', () => binomialTest(0, 0, 0.5), 'no_values'],
    ['Shapiro–Wilk, two', () => shapiroWilk([1, 2]), 'group_too_small'],
    ['Shapiro–Wilk, no spread', () => shapiroWilk([4, 4, 4]), 'no_spread'],
    [
      'line, two points',
      () =>
        lineThrough([
          [1, 2],
          [2, 3],
        ]),
      'too_few_points',
    ],
    [
      'correlation, no spread',
      () =>
        pearson([
          [1, 2],
          [2, 2],
          [3, 2],
        ]),
      'no_spread',
    ],
    ['log-rank, one group', () => logRank([[{ time: 3, happened: true }], []]), 'too_few_groups'],
    [
      'log-rank, none up',
      () => logRank([[{ time: 3, happened: false }], [{ time: 3, happened: false }]]),
      'no_spread',
    ],
    ['Student t, the second empty', () => studentT([1, 2, 3], []), 'group_too_small'],
    ['Hedges g, one in the second', () => hedgesG([2, 3], [1]), 'group_too_small'],
    ['ranks, the second empty', () => mannWhitney([1], []), 'group_too_small'],
    ['permutation, the second empty', () => permutationTest([1], [], 1), 'group_too_small'],
    ['Welch, one in the second', () => welchT([1, 2], [3]), 'group_too_small'],
    [
      'proportions, no tries in the second',
      () => proportionDifference({ count: 1, of: 2 }, { count: 0, of: 0 }),
      'no_values',
    ],
    ['binomial, less than one try', () => binomialTest(0, 0.5, 0.5), 'no_values'],
    [
      'line, all at one x',
      () =>
        lineThrough([
          [2, 1],
          [2, 5],
          [2, 6],
        ]),
      'no_spread',
    ],
    [
      'line, all at one y',
      () =>
        lineThrough([
          [1, 4],
          [2, 4],
          [3, 4],
        ]),
      'no_spread',
    ],
    [
      'correlation, all at one x',
      () =>
        pearson([
          [2, 1],
          [2, 5],
          [2, 6],
        ]),
      'no_spread',
    ],
    [
      'correlation, two points',
      () =>
        pearson([
          [1, 2],
          [2, 3],
        ]),
      'too_few_points',
    ],
    [
      'ranks of two points',
      () =>
        spearman([
          [1, 2],
          [2, 3],
        ]),
      'too_few_points',
    ],
    [
      'analysis of variance, the first group empty',
      () => oneWayAnova([[], [1, 2], [2, 4]]),
      'group_too_small',
    ],
  ] as const)('%s', (_, ask, reason) => expect(reasonOf(ask())).toBe(reason));

  test('a table with too many arrangements is left to the chi-square', () => {
    const row = [30, 31, 29, 33, 28, 30];
    expect(reasonOf(fisherExact([row, row, row, row, row]))).toBe('table_too_large');
  });

  test('nothing up: no steps and no median', () => {
    const found = kaplanMeier([
      { time: 9, happened: false },
      { time: 9, happened: false },
    ]);
    expect(found).toMatchObject({ n: 2, events: 0, steps: [], median: { reason: 'half_never_reached' } });
  });

  test('crossed factors: one level, one pot a combination, no spread, none', () => {
    const unit = (value: number, a: number, b: number) => ({ value, levels: [a, b], block: 0 });
    expect(reasonOf(factorialAnova([], 'II'))).toBe('no_values');
    expect(reasonOf(factorialAnova([unit(1, 0, 0), unit(2, 1, 0)], 'II'))).toBe('too_few_groups');
    const single = factorialAnova([unit(1, 0, 0), unit(3, 1, 0), unit(2, 0, 1), unit(7, 1, 1)], 'II');
    expect(single).toMatchObject({ defined: true, value: { isReduced: true, errorDf: 1 } });
    const flat = [0, 0, 1, 1].flatMap((a) => [unit(4, a, 0), unit(4, a, 1)]);
    expect(reasonOf(factorialAnova(flat, 'II'))).toBe('no_spread');
  });
});

suite('properties', () => {
  const sample = fc.array(fc.integer({ min: 0, max: 400 }), { minLength: 2, maxLength: 7 });

  test('the permutation test does not care about units or order, and has p above 0', () => {
    fc.assert(
      fc.property(sample, sample, (first, second) => {
        const found = permutationTest(first, second, 1);
        const turned = permutationTest(
          [...second].reverse().map((value) => value * 25.4),
          first.map((value) => value * 25.4),
          1,
        );
        expect(turned.defined).toBe(found.defined);
        if (!found.defined || !turned.defined) return;
        expect(turned.value.p).toBeCloseTo(found.value.p, 12);
        expect(found.value.p).toBeGreaterThan(0);
      }),
    );
  });

  test('two groups: F of the analysis of variance is the square of Student t', () => {
    fc.assert(
      fc.property(sample, sample, (first, second) => {
        const [t, f] = [studentT(first, second), oneWayAnova([first, second])];
        if (!t.defined || !f.defined) return;
        expect(f.value.f).toBeCloseTo(t.value.t ** 2, 5);
        expect(f.value.p).toBeCloseTo(t.value.p, 9);
      }),
    );
  });

  test('letters: two groups share one exactly when they were not told apart', () => {
    const pairs = fc.uniqueArray(fc.tuple(fc.integer({ min: 0, max: 5 }), fc.integer({ min: 0, max: 5 })), {
      maxLength: 12,
    });
    fc.assert(
      fc.property(pairs, (drawn) => {
        const different = drawn.filter(([a, b]) => a < b);
        const letters = lettersOf(6, different, [0, 1, 2, 3, 4, 5]);
        for (let a = 0; a < 6; a += 1) {
          for (let b = a + 1; b < 6; b += 1) {
            const share = [...letters[a]!].some((letter) => letters[b]!.includes(letter));
            expect(share).toBe(!different.some(([x, y]) => x === a && y === b));
          }
        }
      }),
    );
  });

  test('the letter a goes to the first in order', () => {
    expect(lettersOf(3, [[0, 2]], [2, 1, 0])).toEqual(['b', 'ab', 'a']);
  });

  test('Holm never falls below the plain p and keeps the order', () => {
    expect(holm([0.01, 0.04, 0.03]).map((p) => Number(p.toFixed(12)))).toEqual([0.03, 0.06, 0.06]);
    expect(holm([])).toEqual([]);
  });
});
