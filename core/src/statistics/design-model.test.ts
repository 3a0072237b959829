import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import { randomGenerator } from '../shared/index.ts';
import {
  type DesignUnit,
  dunnettLeaving,
  fitDesign,
  oneWayAnova,
  pairedT,
  studentT,
  tukeyKramer,
  dunnettSurvival,
  welchT,
} from './index.ts';

interface Reference {
  models: {
    cells: number[];
    blocks: number[];
    y: number[];
    power: number;
    estimate: number;
    se: number;
    df: number;
    own: number[];
    departure: { f: number; df1: number; df2: number; p: number };
  }[];
  dunnett: { t: number; m: number; rho: number; df: number; p: number }[];
}

// Made by NumPy and SciPy with core/reference/design_model.py.
const reference = JSON.parse(
  readFileSync(new URL('../../reference/design-model.json', import.meta.url), 'utf8'),
) as Reference;

function unitsOf(groups: readonly (readonly number[])[], hasBlocks = false): DesignUnit[] {
  return groups.flatMap((values, cell) =>
    values.map((value, index) => ({ value, cell, block: hasBlocks ? index : 0 })),
  );
}

function contrast(units: readonly DesignUnit[], weights: readonly number[]) {
  const fit = fitDesign(units, weights.length);
  if (!fit.defined) throw new Error(fit.reason);
  const found = fit.value.contrast(weights);
  if (!found.defined) throw new Error(found.reason);
  return { ...found.value, fit: fit.value };
}

describe('the model of a design', () => {
  test.each(reference.models.map((model, index) => ({ ...model, index })))(
    'is that of matrices, case $index, power $power',
    ({ y, cells, blocks, estimate, se, df, own, departure }) => {
      const units = y.map((value, at) => ({ value, cell: cells[at]!, block: blocks[at]! }));
      const count = Math.max(...cells) + 1;
      const weights = Array.from({ length: count }, (_, at) => (at === 0 ? -1 : at === count - 1 ? 1 : 0));
      const found = contrast(units, weights);
      expect(found.estimate).toBeCloseTo(estimate, 8);
      expect(found.se).toBeCloseTo(se, 8);
      expect(found.df).toBeCloseTo(df, 6);
      expect([...found.fit.ownSpread].sort()).toEqual(own);
      const depart = found.fit.departure([Array<number>(count).fill(1)]);
      for (const part of ['f', 'df1', 'df2', 'p'] as const) {
        expect(Math.abs(depart[part] / departure[part] - 1)).toBeLessThan(1e-6);
      }
      if (own.length > 0) expect(found.fit.overall).toEqual(depart);
    },
  );

  const [first, second] = [
    [52, 61, 58, 49],
    [71, 66, 80, 69, 75],
  ] as const;

  test('two groups are compared by Welch’s t test; with two units in one, by that of Student', () => {
    const welch = welchT(first, second);
    if (!welch.defined) throw new Error('defined');
    const found = contrast(unitsOf([first, second]), [-1, 1]);
    expect(found.estimate / found.se).toBeCloseTo(welch.value.t, 10);
    expect(found.df).toBeCloseTo(welch.value.df, 10);
    const student = studentT(first.slice(2), second);
    if (!student.defined) throw new Error('defined');
    const few = contrast(unitsOf([first.slice(2), second]), [-1, 1]);
    expect([few.estimate / few.se, few.df]).toEqual([expect.closeTo(student.value.t, 10), 5]);
  });

  test('two treatments in blocks: the paired t test', () => {
    const pairs = first.map((value, index): [number, number] => [value, second[index]!]);
    const paired = pairedT(pairs);
    if (!paired.defined) throw new Error('defined');
    const found = contrast(unitsOf([first, second.slice(0, 4)], true), [-1, 1]);
    expect([found.estimate / found.se, found.df]).toEqual([
      expect.closeTo(paired.value.t, 10),
      expect.closeTo(3, 8),
    ]);
  });

  test('three groups of one spread: the error of Tukey and Kramer', () => {
    const groups = [first, second, [60, 66, 57, 64, 51]];
    const found = contrast(unitsOf(groups), [-1, 1, 0]);
    const tukey = tukeyKramer(groups);
    if (!tukey.defined) throw new Error('defined');
    expect(found.fit.spread).toBe('equal');
    expect(found.estimate).toBeCloseTo(tukey.value[0]!.difference, 10);
  });

  test('all treatments at once: the F of one spread, and with two treatments in blocks the square of the paired t', () => {
    const groups = [first, second, [60, 66, 57, 64, 51]];
    const { overall } = contrast(unitsOf(groups), [-1, 1, 0]).fit;
    const oneWay = oneWayAnova(groups);
    if (!oneWay.defined) throw new Error('defined');
    expect([overall.f, overall.df1, overall.df2, overall.p]).toEqual(
      [oneWay.value.f, 2, 11, oneWay.value.p].map((value) => expect.closeTo(value, 8)),
    );
    const paired = pairedT(first.map((value, index): [number, number] => [value, second[index]!]));
    if (!paired.defined) throw new Error('defined');
    const blocked = contrast(unitsOf([first, second.slice(0, 4)], true), [-1, 1]).fit.overall;
    expect([blocked.f, blocked.p]).toEqual(
      [paired.value.t ** 2, paired.value.p].map((value) => expect.closeTo(value, 8)),
    );
  });

  test('spread that goes with the mean is found to do so', () => {
    const grown = [1, 3, 9].map((mean) => [0.7, 0.9, 1, 1.2, 1.3, 0.8].map((part) => 20 * mean * part));
    const found = contrast(unitsOf(grown), [-1, 1, 0]);
    expect(found.fit.spread).toBe('with_mean');
    expect(found.fit.weights[0]! / found.fit.weights[6]!).toBeCloseTo(9, 1);
  });

  test('blocks that hold one treatment each are no term; reasons where nothing can be judged', () => {
    const confounded = [first, second].flatMap((values, cell) =>
      values.map((value) => ({ value, cell, block: cell })),
    );
    expect(contrast(confounded, [-1, 1]).fit.hasBlocks).toBe(false);
    expect(fitDesign([], 2)).toEqual({ defined: false, reason: 'no_values' });
    expect(fitDesign(unitsOf([first, []]), 2)).toEqual({ defined: false, reason: 'too_few_groups' });
    expect(fitDesign(unitsOf([[4], [5]]), 2)).toEqual({ defined: false, reason: 'group_too_small' });
    expect(
      fitDesign(
        unitsOf([
          [4, 4],
          [5, 5],
        ]),
        2,
      ),
    ).toEqual({ defined: false, reason: 'no_spread' });
    const alone = fitDesign(unitsOf([[4], [5, 6, 8]]), 2);
    expect(alone.defined && alone.value.contrast([-1, 1])).toMatchObject({
      value: { df: 2, se: expect.closeTo(Math.sqrt((14 / 3 / 2) * (4 / 3)), 10) },
    });
    expect(alone.defined && alone.value.contrast([-1, 0, 1])).toEqual({
      defined: false,
      reason: 'missing_cells',
    });
  });
});

describe('means, errors and spreads of a design', () => {
  const groups = [[50, 61, 58, 51], [], [66, 78, 70, 71, 76], [60, 66, 57]];
  const fit = () => {
    const found = fitDesign(unitsOf(groups), 4);
    if (!found.defined) throw new Error(found.reason);
    return found.value;
  };

  test('of a treatment without a unit nothing is known, and nothing is compared with it', () => {
    const fitted = fit();
    const { means, meanVariances } = fitted;
    expect(means).toEqual([55, undefined, 72.2, 61].map((mean) => mean && expect.closeTo(mean, 10)));
    const squares = groups.flatMap((values) => {
      const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
      return values.map((value) => (value - mean) ** 2);
    });
    const variance = squares.reduce((sum, square) => sum + square, 0) / 9;
    expect(meanVariances).toEqual(
      groups.map(({ length }) => (length ? expect.closeTo(variance / length, 8) : undefined)),
    );
    expect(fitted.contrast([-1, 1, 0, 0])).toEqual({ defined: false, reason: 'missing_cells' });
    const found = fitted.contrast([-1, 0, 1, 0]);
    expect(found.defined && found.value).toEqual({
      estimate: expect.closeTo(17.2, 8),
      se: expect.closeTo(Math.sqrt(variance * (1 / 4 + 1 / 5)), 8),
      df: 9,
    });
  });

  test('the order of units, treatments and blocks changes nothing', () => {
    const units = unitsOf([groups[0]!, groups[3]!, [70, 64, 81]], true);
    const [plain, turned] = [units, [...units].reverse()].map((of) => {
      const found = fitDesign(of, 3);
      if (!found.defined) throw new Error(found.reason);
      return { ...found.value, found: found.value.contrast([-1, 0, 1]), weights: 0 };
    });
    expect(turned!.found).toEqual({
      defined: true,
      value: plain!.found.defined && {
        estimate: expect.closeTo(plain!.found.value.estimate, 8),
        se: expect.closeTo(plain!.found.value.se, 8),
        df: expect.closeTo(plain!.found.value.df, 8),
      },
    });
    expect(turned!.means).toEqual(plain!.means.map((mean) => expect.closeTo(mean!, 8)));
    expect(turned!.meanVariances).toEqual(plain!.meanVariances.map((each) => expect.closeTo(each!, 8)));
    expect(turned!.overall.f).toBeCloseTo(plain!.overall.f, 8);
  });

  test('weights are powers of the means, none below a tenth of the largest; a mean of 0 or less has one spread for all', () => {
    const spread = [0.8, 1.1, 0.9, 1.2, 1.3, 0.7];
    const grown = [1, 4, 100].map((mean) => spread.map((part) => mean * part));
    const wide = fitDesign(unitsOf(grown), 3);
    if (!wide.defined) throw new Error(wide.reason);
    expect(wide.value.spread).toBe('with_mean');
    const [low, middle, high] = [0, 6, 12].map((at) => wide.value.weights[at]!);
    expect(high).toBeCloseTo(1, 10);
    expect(low).toBeCloseTo(middle!, 10);
    const power = Math.log(low!) / (2 * Math.log(10));
    expect(power * 10).toBeCloseTo(Math.round(power * 10), 8);
    for (const shift of [-100, -1.5]) {
      const shifted = fitDesign(unitsOf(grown.map((values) => values.map((value) => value + shift))), 3);
      expect(shifted.defined && shifted.value.spread).toBe('equal');
    }
    const atZero = fitDesign(unitsOf([[-1, 1, -2, 2], grown[1]!, grown[2]!]), 3);
    expect(atZero).toMatchObject({ defined: true, value: { spread: 'equal' } });
  });

  test('one value beyond the treatments is enough to judge by, none is not; a block each leaves nothing', () => {
    expect(fitDesign(unitsOf([[4], [5], [6, 8]]), 3)).toMatchObject({
      defined: true,
      value: { overall: { df1: 2, df2: 1 } },
    });
    expect(fitDesign(unitsOf([[4], [5], [6]]), 3)).toEqual({ defined: false, reason: 'group_too_small' });
    const blocked = unitsOf(
      [
        [4, 9],
        [5, 3],
      ],
      true,
    );
    expect(fitDesign(blocked, 2)).toMatchObject({ defined: true, value: { hasBlocks: true } });
  });
});

describe('Dunnett', () => {
  test.each(reference.dunnett)(
    't $t, $m comparisons, correlation $rho, $df degrees',
    ({ t, m, rho, df, p }) => {
      expect(Math.abs(dunnettSurvival(t, m, rho, df) - p)).toBeLessThan(2e-6);
    },
  );

  // Dunnett (1964), two-sided, 5 %: treatments beside the control, degrees of freedom.
  test.each([
    [1, 5, 2.57],
    [2, 5, 3.03],
    [4, 10, 2.89],
    [3, 20, 2.54],
  ])('the printed table: %i treatments, %i degrees', (m, df, t) => {
    expect(dunnettLeaving(0.05, m, 0.5, df)).toBeCloseTo(t, 2);
  });
});

test('seeds in a row give unrelated draws, the first ones too', () => {
  const seeds = 4000;
  const firsts = Array.from({ length: seeds }, (_, seed) => randomGenerator(seed).uniform());
  const mean = firsts.reduce((sum, value) => sum + value, 0) / seeds;
  expect(Math.abs(mean - 0.5)).toBeLessThan(0.015);
  const tenths = Array.from(
    { length: 10 },
    (_, tenth) => firsts.filter((value) => Math.floor(value * 10) === tenth).length,
  );
  const chiSquare = tenths.reduce((sum, count) => sum + (count - seeds / 10) ** 2 / (seeds / 10), 0);
  expect(chiSquare).toBeLessThan(28);
  const products = firsts.slice(1).map((value, index) => (value - 0.5) * (firsts[index]! - 0.5));
  expect(Math.abs(products.reduce((sum, value) => sum + value, 0) / seeds) * 12).toBeLessThan(0.06);
});
