import { describe, expect, test } from '@jest/globals';
import { randomGenerator } from '../shared/index.ts';
import {
  factorialAnova,
  type FactorialUnit,
  kaplanMeier,
  lineThrough,
  logRank,
  mannWhitney,
  oneWayAnova,
  pearson,
  signedRank,
  tukeyKramer,
  type Wait,
} from './index.ts';
import { solve } from './survival.ts';

function analysed(units: readonly FactorialUnit[], type: 'II' | 'III' = 'II') {
  const found = factorialAnova(units, type);
  if (!found.defined) throw new Error(found.reason);
  return found.value;
}

/** Two units of each of 2 × 2 × 2 combinations, with effects of the factors, of one pair, and some luck. */
function cube(weight?: (at: number) => number): FactorialUnit[] {
  const chance = randomGenerator(9);
  return Array.from({ length: 16 }, (_, at) => {
    const levels = [at & 1, (at >> 1) & 1, (at >> 2) & 1] as const;
    const value = 40 + 6 * levels[0] + 3 * levels[1] - 2 * levels[2] + 5 * levels[0] * levels[1];
    return {
      value: value + chance.normal(),
      levels,
      block: 0,
      ...(weight && { weight: weight(at) }),
    };
  });
}

describe('crossed designs', () => {
  test('three factors: seven terms, the smaller first, each by its contrast', () => {
    const units = cube();
    const found = analysed(units);
    expect(found.terms.map(({ factors }) => factors.join(''))).toEqual([
      '0',
      '1',
      '2',
      '01',
      '02',
      '12',
      '012',
    ]);
    for (const { factors, squares, df } of found.terms) {
      const sign = (unit: FactorialUnit): number =>
        factors.reduce((product, factor) => product * (unit.levels[factor] ? 1 : -1), 1);
      const contrast = units.reduce((sum, unit) => sum + sign(unit) * unit.value, 0);
      expect(squares).toBeCloseTo(contrast ** 2 / 16, 8);
      expect(df).toBe(1);
    }
    const interactions = found.terms.filter(({ factors }) => factors.length > 1);
    const joint = interactions.reduce((sum, { squares }) => sum + squares, 0) / 4;
    expect(found.together).toMatchObject({ defined: true, value: { df: 4 } });
    expect(found.together.defined && found.together.value.f).toBeCloseTo(
      joint / (found.errorSquares / found.errorDf),
      8,
    );
    expect(found).toMatchObject({ isReduced: false, errorDf: 8, missingCells: 0 });
  });

  test('a unit that weighs twice is as two of it in each sum of squares', () => {
    const weighted = analysed(cube((at) => (at % 3 === 0 ? 2 : 1)));
    const doubled = analysed(cube().flatMap((unit, at) => (at % 3 === 0 ? [unit, unit] : [unit])));
    weighted.terms.forEach(({ squares }, at) => expect(squares).toBeCloseTo(doubled.terms[at]!.squares, 8));
    expect(weighted.errorSquares).toBeCloseTo(doubled.errorSquares, 8);
    expect([weighted.errorDf, doubled.errorDf]).toEqual([8, doubled.errorDf]);
  });

  test('levels and blocks in another order give the same; a value left over is enough to judge by', () => {
    const units = cube().map((unit, at) => ({ ...unit, block: at % 4 === 3 ? 1 : at > 9 ? 2 : 0 }));
    const [plain, turned] = [analysed(units, 'III'), analysed([...units].reverse(), 'III')];
    plain.terms.forEach(({ squares, df }, at) => {
      expect(turned.terms[at]!.squares).toBeCloseTo(squares, 7);
      expect(turned.terms[at]!.df).toBe(df);
    });
    const five = cube()
      .slice(0, 4)
      .map(({ value, levels }) => ({ value, levels: levels.slice(0, 2), block: 0 }));
    expect(analysed([...five, { ...five[0]!, value: 41 }])).toMatchObject({ isReduced: false, errorDf: 1 });
    expect(analysed(five)).toMatchObject({ isReduced: true, errorDf: 1 });
  });

  test('one factor alone: the analysis of variance, and nothing left with one unit a level', () => {
    const groups = [
      [4, 6, 5],
      [9, 7, 8],
      [5, 5, 9],
    ];
    const units = groups.flatMap((values, level) =>
      values.map((value) => ({ value, levels: [level], block: 0 })),
    );
    const [crossed, plain] = [analysed(units), oneWayAnova(groups)];
    expect(crossed.terms).toHaveLength(1);
    expect(crossed.terms[0]!.test.defined && crossed.terms[0]!.test.value.f).toBeCloseTo(
      plain.defined ? plain.value.f : NaN,
      8,
    );
    expect(crossed.together).toEqual({ defined: false, reason: 'missing_cells' });
    expect(factorialAnova([units[0]!, units[3]!, units[6]!], 'II')).toEqual({
      defined: false,
      reason: 'no_residual',
    });
  });

  test('combinations that are not grown: what cannot be seen is said, type III refuses', () => {
    const units = cube().filter(({ levels }) => !(levels[0] && levels[1]));
    const found = analysed(units);
    expect(found.missingCells).toBe(2);
    const both = found.terms.find(({ factors }) => factors.join('') === '01');
    expect(both).toEqual({
      factors: [0, 1],
      squares: 0,
      df: 0,
      test: { defined: false, reason: 'missing_cells' },
    });
    expect(factorialAnova(units, 'III')).toEqual({ defined: false, reason: 'missing_cells' });
  });
});

describe('waiting', () => {
  const wait = (time: number, happened = true): Wait => ({ time, happened });

  test('the median is the middle of a stretch at just half, and the ends of its interval cross alike', () => {
    const found = kaplanMeier([4, 5, 7, 9].map((time) => wait(time)));
    expect([found.n, found.events]).toEqual([4, 4]);
    expect(found.median).toEqual({ defined: true, value: 6 });
    expect(found.steps.map(({ waiting }) => waiting)).toEqual([0.75, 0.5, 0.25, 0]);
    expect(found.steps.at(-1)!.interval).toEqual({ defined: false, reason: 'no_spread' });
    const half = kaplanMeier([wait(3), wait(8, false)]);
    expect(half.median).toEqual({ defined: true, value: 5.5 });
    expect(kaplanMeier([wait(3), wait(8, false), wait(8, false)]).median).toEqual({
      defined: false,
      reason: 'half_never_reached',
    });
  });

  test('the interval of the median is where the curve’s own intervals cross a half', () => {
    const found = kaplanMeier([2, 3, 3, 5, 6, 8, 9, 12, 13, 15].map((time) => wait(time)));
    const crossing = (end: 'low' | 'high') =>
      found.steps.find(({ interval }) => interval.defined && interval.value[end] <= 0.5)?.time;
    expect(found.medianLow).toEqual({ defined: true, value: crossing('low') });
    expect(found.medianHigh).toEqual({ defined: true, value: crossing('high') });
    expect(crossing('low')).toBeLessThan(crossing('high')!);
  });

  test('two groups by hand: what happened less what was due, over its variance', () => {
    const [first, second] = [
      [wait(2), wait(4), wait(4), wait(9, false)],
      [wait(4), wait(6), wait(9), wait(9, false), wait(3, false)],
    ];
    let [excess, variance] = [0, 0];
    for (const time of [2, 4, 6, 9]) {
      const at = (group: readonly Wait[]) => group.filter((one) => one.time >= time).length;
      const up = (group: readonly Wait[]) => group.filter((one) => one.happened && one.time === time).length;
      const [a, n] = [at(first), at(first) + at(second)];
      const d = up(first) + up(second);
      excess += up(first) - (d * a) / n;
      variance += (((d * a) / n) * (1 - a / n) * (n - d)) / (n - 1);
    }
    const found = logRank([first, second]);
    expect(found.defined && found.value.chiSquare).toBeCloseTo(excess ** 2 / variance, 10);
    const single = logRank([
      [wait(2), wait(5)],
      [wait(3), wait(7)],
    ]);
    expect(single.defined && Number.isFinite(single.value.chiSquare)).toBe(true);
  });

  test('systems are solved whatever the order of their lines; what depends on itself is not', () => {
    const matrix = [
      [0, 2, 1],
      [3, 0, 2],
      [1, 5, 0],
    ];
    const solved = [4, -1, 2];
    const right = matrix.map((row) => row.reduce((sum, value, at) => sum + value * solved[at]!, 0));
    expect(solve(matrix, right)).toEqual(solved.map((value) => expect.closeTo(value, 10)));
    const scaled = matrix.map((row) => row.map((value) => value * 1e-20));
    expect(solve(scaled, right)).toEqual(solved.map((value) => expect.closeTo(value * 1e20, -8)));
    expect(
      solve(
        [
          [1, 2],
          [2, 4],
        ],
        [1, 2],
      ),
    ).toBeUndefined();
    expect(
      solve(
        [
          [1e9, 1],
          [1, 1e-9],
        ],
        [1, 1],
      ),
    ).toBeUndefined();
  });
});

describe('lines, ranks and pairs at their edges', () => {
  test('three points have a line and a correlation without an interval, four have one', () => {
    const three = [
      [0, 1],
      [1, 4],
      [2, 4],
    ] as const;
    const line = lineThrough(three);
    expect(line.defined && [line.value.slope, line.value.intercept]).toEqual([1.5, 1.5]);
    expect(pearson(three)).toMatchObject({
      defined: true,
      value: { interval: { reason: 'too_few_points' } },
    });
    expect(pearson([...three, [3, 6]])).toMatchObject({
      defined: true,
      value: { interval: { defined: true } },
    });
  });

  test('points on a line: a chance of 0 and no interval', () => {
    const exact = [0, 1, 2, 3, 4].map((x) => [x, 3 - 2 * x] as const);
    expect(lineThrough(exact)).toMatchObject({ defined: true, value: { p: 0, slope: -2, rSquared: 1 } });
    expect(pearson(exact)).toMatchObject({
      defined: true,
      value: { r: -1, p: 0, interval: { defined: false, reason: 'too_few_points' } },
    });
  });

  test('points far from the origin have the line of points near it', () => {
    const near = [
      [-1, 3],
      [0, 2],
      [2, 7],
      [5, 6],
    ] as const;
    const far = near.map(([x, y]) => [x + 1000, y - 4000] as const);
    const [a, b] = [lineThrough(near), lineThrough(far)];
    expect(a.defined && b.defined && b.value.p).toBeCloseTo(a.defined ? a.value.p : NaN, 9);
    expect(a.defined && b.defined && b.value.slope).toBeCloseTo(a.defined ? a.value.slope : NaN, 9);
  });

  test('exact to twenty values a group and 49 pairs, by the normal curve beyond', () => {
    const values = (n: number, from: number) => Array.from({ length: n }, (_, at) => from + at * 2);
    const isExact = (n: number, m: number) => mannWhitney(values(n, 0), values(m, 5));
    expect(isExact(20, 20)).toMatchObject({ defined: true, value: { isExact: true } });
    expect(isExact(21, 3)).toMatchObject({ defined: true, value: { isExact: false } });
    expect(isExact(3, 21)).toMatchObject({ defined: true, value: { isExact: false } });
    const pairs = (n: number) => values(n, 1).map((by, at) => [0, at % 3 ? by : -by] as const);
    expect(signedRank(pairs(49))).toMatchObject({ defined: true, value: { isExact: true, n: 49 } });
    expect(signedRank(pairs(50))).toMatchObject({ defined: true, value: { isExact: false } });
    expect(signedRank([...pairs(8), [3, 3]])).toMatchObject({
      defined: true,
      value: { isExact: false, n: 8 },
    });
  });

  test('groups of one beside others: one value beyond the groups is enough', () => {
    expect(oneWayAnova([[4], [6, 9]])).toMatchObject({ defined: true, value: { df1: 1, df2: 1 } });
    const found = tukeyKramer([[4], [6, 9], [5]]);
    expect(found).toMatchObject({ defined: true });
  });
});
