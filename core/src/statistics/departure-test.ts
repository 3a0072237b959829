import { upperF } from './distributions.ts';
import { leastSquares } from './least-squares.ts';
import { combinedVariance, type SpreadEstimates } from './own-spread.ts';

/** An F test. */
export interface FTest {
  readonly f: number;
  readonly df1: number;
  readonly df2: number;
  readonly p: number;
}

/** Means of treatments, and what they may depart from. */
export interface Departure {
  /** What means can add up to: a figure for each treatment in each column. */
  readonly columns: readonly (readonly number[])[];
  readonly means: readonly number[];
  /** What each unit's value counts for in each mean. */
  readonly shares: readonly (readonly number[])[];
  /** The units of each treatment, by index. */
  readonly parts: readonly (readonly number[])[];
  /** What each unit's square counts for. */
  readonly weights: readonly number[];
  readonly estimates: SpreadEstimates;
}

/** The ANOVA-type statistic of Brunner, Dette and Munk (1997), for variances that differ between treatments. */
export function departureTest({ columns, means, shares, parts, weights, estimates }: Departure): FTest {
  const size = means.length;
  const projection = means.map(
    (_, at) =>
      leastSquares(
        means.map((__, index) => (index === at ? 1 : 0)),
        columns,
      ).residuals,
  );
  const between = (a: number, b: number, own: readonly number[]): number =>
    own.reduce((sum, at) => sum + ((shares[a]?.[at] ?? 0) * (shares[b]?.[at] ?? 0)) / (weights[at] ?? 1), 0);
  const byTreatment = parts.map((own) => means.map((_, a) => means.map((__, b) => between(a, b, own))));
  const covariance = means.map((_, a) =>
    means.map((__, b) =>
      byTreatment.reduce((sum, own, at) => sum + (own[a]?.[b] ?? 0) * (estimates.variances[at] ?? 0), 0),
    ),
  );
  const traceWith = (matrix: readonly (readonly number[])[]): number =>
    sumOver(size, (a) => sumOver(size, (b) => (projection[a]?.[b] ?? 0) * (matrix[b]?.[a] ?? 0)));
  const product = means.map((_, a) =>
    means.map((__, b) => sumOver(size, (k) => (projection[a]?.[k] ?? 0) * (covariance[k]?.[b] ?? 0))),
  );
  const squared = sumOver(size, (a) => sumOver(size, (b) => (product[a]?.[b] ?? 0) * (product[b]?.[a] ?? 0)));
  const { variance: trace, df: df2 } = combinedVariance(byTreatment.map(traceWith), estimates);
  const departed = sumOver(size, (a) =>
    sumOver(size, (b) => (means[a] ?? 0) * (projection[a]?.[b] ?? 0) * (means[b] ?? 0)),
  );
  const df1 = trace ** 2 / squared;
  const f = departed / trace;
  return { f, df1, df2, p: upperF(f, df1, df2) };
}

function sumOver(size: number, of: (index: number) => number): number {
  let sum = 0;
  for (let index = 0; index < size; index += 1) sum += of(index);
  return sum;
}
