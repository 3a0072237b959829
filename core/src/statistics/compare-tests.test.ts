import { readFileSync } from 'node:fs';
import { describe as suite, expect, test } from '@jest/globals';
import type { Outcome } from '../shared/index.ts';
import {
  binomialTest,
  brownForsythe,
  chiSquareTest,
  dunnPairs,
  factorialAnova,
  fisherExact,
  hedgesG,
  kaplanMeier,
  kruskalWallis,
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
  type SumOfSquaresType,
  studentT,
  tukeyKramer,
  type Wait,
} from './index.ts';

type Figures = Record<string, number>;
interface Term {
  squares: number;
  df: number;
  f: number;
  p: number;
}
interface Reference {
  two: (Figures & { name: string; first: number[]; second: number[]; permutationP: number | null })[];
  paired: (Figures & { name: string; first: number[]; second: number[] })[];
  groups: (Figures & {
    name: string;
    groups: number[][];
    dunnZ: number[];
    dunnP: number[];
    tukeyP: number[];
  })[];
  crossed: {
    name: string;
    values: number[];
    levels: number[][];
    blocks: number[] | null;
    typeTwo: Term[];
    typeThree: Term[];
    errorSquares: number;
    errorDf: number;
  }[];
  tables: (Figures & { table: number[][] })[];
  differences: { counts: [number, number, number, number]; difference: number; low: number; high: number }[];
  binomial: { counts: [number, number, number]; p: number }[];
  shapiro: { values: number[]; w: number; p: number }[];
  lines: (Figures & { x: number[]; y: number[] })[];
  survival: {
    name: string;
    chiSquare: number;
    df: number;
    p: number;
    groups: {
      times: number[];
      happened: number[];
      at: number[];
      waiting: number[];
      low: (number | null)[];
      high: (number | null)[];
      median: number | null;
      medianLow: number | null;
      medianHigh: number | null;
    }[];
  }[];
}

// Made by R with core/reference/compare.R, which says how each figure is computed.
const fromR = JSON.parse(
  readFileSync(new URL('../../reference/compare.json', import.meta.url), 'utf8'),
) as Reference;

const CLOSED_FORM = 1e-9;
const DISTRIBUTION = 1e-6;

function close(found: number, wanted: number, tolerance: number): void {
  expect(Math.abs(found - wanted)).toBeLessThanOrEqual(tolerance * Math.max(1e-9, Math.abs(wanted)));
}

function valueOf<T>(outcome: Outcome<T>): T {
  if (!outcome.defined) throw new Error(`undefined: ${outcome.reason}`);
  return outcome.value;
}

suite.each(fromR.two)('two groups against R: $name', ({ first, second, ...wanted }) => {
  test("Student's t and Hedges' g", () => {
    const { difference, t, df, p, interval } = valueOf(studentT(first, second));
    close(t, wanted.t!, CLOSED_FORM);
    close(df, wanted.df!, CLOSED_FORM);
    close(p, wanted.p!, DISTRIBUTION);
    close(interval.low, wanted.low!, DISTRIBUTION);
    close(interval.high, wanted.high!, DISTRIBUTION);
    close(interval.low + interval.high, 2 * difference, DISTRIBUTION);
    close(valueOf(hedgesG(first, second)), wanted.g!, CLOSED_FORM);
  });

  test('Mann and Whitney', () => {
    const { u, share, p } = valueOf(mannWhitney(first, second));
    close(u, wanted.u!, CLOSED_FORM);
    close(share, wanted.u! / (first.length * second.length), CLOSED_FORM);
    close(p, wanted.uP!, CLOSED_FORM);
  });

  test('permutation: exact by R, drawn within four of its own errors', () => {
    const found = valueOf(permutationTest(first, second, 7));
    if (wanted.permutationP !== null) {
      expect(found.isExact).toBe(true);
      close(found.p, wanted.permutationP, CLOSED_FORM);
      return;
    }
    expect(found.isExact).toBe(false);
    expect(Math.abs(found.p - valueOf(studentT(first, second)).p)).toBeLessThan(4 * found.error + 0.003);
  });
});

test.each(fromR.paired)('pairs against R: $name', ({ first, second, ...wanted }) => {
  const pairs = first.map((value, index): [number, number] => [value, second[index]!]);
  const t = valueOf(pairedT(pairs));
  close(t.t, wanted.t!, CLOSED_FORM);
  close(t.df, wanted.df!, CLOSED_FORM);
  close(t.p, wanted.p!, DISTRIBUTION);
  close(t.interval.low, wanted.low!, DISTRIBUTION);
  close(t.interval.high, wanted.high!, DISTRIBUTION);
  const ranks = valueOf(signedRank(pairs));
  close(ranks.v, wanted.v!, CLOSED_FORM);
  close(ranks.p, wanted.vP!, CLOSED_FORM);
});

suite.each(fromR.groups)('several groups against R: $name', ({ groups, dunnZ, dunnP, tukeyP, ...wanted }) => {
  test('classical analysis of variance and Brown–Forsythe', () => {
    const found = valueOf(oneWayAnova(groups));
    close(found.f, wanted.f!, CLOSED_FORM);
    expect([found.df1, found.df2]).toEqual([wanted.df1, wanted.df2]);
    close(found.p, wanted.p!, DISTRIBUTION);
    const spread = valueOf(brownForsythe(groups));
    close(spread.f, wanted.levene!, CLOSED_FORM);
    close(spread.p, wanted.leveneP!, DISTRIBUTION);
  });

  test('Kruskal–Wallis and Dunn', () => {
    const found = valueOf(kruskalWallis(groups));
    close(found.h, wanted.h!, CLOSED_FORM);
    close(found.p, wanted.hP!, CLOSED_FORM);
    valueOf(dunnPairs(groups)).forEach((pair, index) => {
      close(pair.z, dunnZ[index]!, CLOSED_FORM);
      close(pair.p, dunnP[index]!, CLOSED_FORM);
    });
  });

  // R's own ptukey is coarse at few degrees of freedom (see studentized-range.py); its pairs agree to 1e-4.
  test('Tukey–Kramer', () => {
    valueOf(tukeyKramer(groups)).forEach((pair, index) => {
      expect(Math.abs(pair.p - tukeyP[index]!)).toBeLessThan(1e-4);
      expect(pair.interval.low > 0 || pair.interval.high < 0).toBe(pair.p < 0.05);
    });
  });
});

suite.each(fromR.crossed)('crossed factors against R: $name', (wanted) => {
  const units = wanted.values.map((value, index) => ({
    value,
    levels: wanted.levels[index]!,
    block: wanted.blocks?.[index] ?? 0,
  }));
  const compare = (type: SumOfSquaresType, terms: readonly Term[], skipped: number): void => {
    const found = valueOf(factorialAnova(units, type));
    close(found.errorSquares, wanted.errorSquares, CLOSED_FORM);
    expect(found.errorDf).toBe(wanted.errorDf);
    found.terms.slice(skipped).forEach((term, index) => {
      const line = terms[index]!;
      close(term.squares, line.squares, CLOSED_FORM);
      close(valueOf(term.test).f, line.f, CLOSED_FORM);
      close(valueOf(term.test).p, line.p, DISTRIBUTION);
    });
  };

  test('type II', () => compare('II', wanted.typeTwo, 0));
  if (wanted.typeThree.length > 0) {
    test('type III', () => compare('III', wanted.typeThree, wanted.blocks ? 1 : 0));
  } else {
    test('type III is refused', () =>
      expect(factorialAnova(units, 'III')).toEqual({ defined: false, reason: 'missing_cells' }));
  }
});

test.each(fromR.tables)('table against R: $table', ({ table, ...wanted }) => {
  close(valueOf(fisherExact(table)), wanted.fisherP!, DISTRIBUTION);
  const found = valueOf(chiSquareTest(table));
  close(found.chiSquare, wanted.chiSquare!, CLOSED_FORM);
  close(found.p, wanted.p!, CLOSED_FORM);
  close(found.smallestExpected, wanted.smallest!, CLOSED_FORM);
  expect(found.isRough).toBe(wanted.smallest! < 5);
});

test.each(fromR.differences)('difference of proportions $counts', ({ counts: [a, n, b, m], ...wanted }) => {
  const found = valueOf(proportionDifference({ count: a, of: n }, { count: b, of: m }));
  close(found.difference, wanted.difference, CLOSED_FORM);
  close(found.low, wanted.low, CLOSED_FORM);
  close(found.high, wanted.high, CLOSED_FORM);
});

test.each(fromR.binomial)('binomial test $counts', ({ counts: [count, of, rate], p }) => {
  close(valueOf(binomialTest(count, of, rate)), p, CLOSED_FORM);
});

// R keeps the coefficients of AS R94 to six digits as here, and its normal quantiles are exact.
test.each(fromR.shapiro)('Shapiro–Wilk $values', ({ values, w, p }) => {
  const found = valueOf(shapiroWilk(values));
  close(found.w, w, DISTRIBUTION);
  close(found.p, p, 1e-5);
});

test.each(fromR.lines)('line and correlations of $y', ({ x, y, ...wanted }) => {
  const points = x.map((value, index): [number, number] => [value, y[index]!]);
  const line = valueOf(lineThrough(points));
  close(line.intercept, wanted.intercept!, CLOSED_FORM);
  close(line.slope, wanted.slope!, CLOSED_FORM);
  close(line.slopeError, wanted.se!, CLOSED_FORM);
  close(line.slopeInterval.low, wanted.low!, DISTRIBUTION);
  close(line.slopeInterval.high, wanted.high!, DISTRIBUTION);
  close(line.residualError, wanted.sigma!, CLOSED_FORM);
  close(line.rSquared, wanted.r2!, CLOSED_FORM);
  close(line.p, wanted.p!, DISTRIBUTION);
  const linear = valueOf(pearson(points));
  close(linear.r, wanted.r!, CLOSED_FORM);
  close(valueOf(linear.interval).low, wanted.rLow!, DISTRIBUTION);
  close(valueOf(linear.interval).high, wanted.rHigh!, DISTRIBUTION);
  const ranks = valueOf(spearman(points));
  close(ranks.r, wanted.rho!, CLOSED_FORM);
  close(ranks.p, wanted.rhoP!, DISTRIBUTION);
});

suite.each(fromR.survival)('waiting times against R: $name', ({ groups, ...wanted }) => {
  const waits = groups.map((group) =>
    group.times.map((time, index): Wait => ({ time, happened: group.happened[index] === 1 })),
  );

  test('Kaplan–Meier with its median', () => {
    groups.forEach((group, index) => {
      const found = kaplanMeier(waits[index]!);
      expect(found.steps.map((step) => step.time)).toEqual(group.at);
      found.steps.forEach((step, at) => {
        close(step.waiting, group.waiting[at]!, CLOSED_FORM);
        if (!step.interval.defined) return;
        close(step.interval.value.low, group.low[at]!, DISTRIBUTION);
        close(step.interval.value.high, group.high[at]!, DISTRIBUTION);
      });
      const ends = [found.median, found.medianLow, found.medianHigh];
      expect(ends.map((end) => (end.defined ? end.value : null))).toEqual([
        group.median,
        group.medianLow,
        group.medianHigh,
      ]);
    });
  });

  test('log-rank', () => {
    const found = valueOf(logRank(waits));
    close(found.chiSquare, wanted.chiSquare, CLOSED_FORM);
    expect(found.df).toBe(wanted.df);
    close(found.p, wanted.p, CLOSED_FORM);
  });
});
