import { defined, notDefined, type Outcome } from '../shared/index.ts';
import { tForInterval } from './distributions.ts';

/** A closed interval in the unit of the values. */
export interface Interval {
  readonly low: number;
  readonly high: number;
}

/** One sample described. All figures are in the unit of the values. */
export interface Description {
  readonly n: number;
  readonly mean: Outcome<number>;
  readonly median: Outcome<number>;
  readonly min: Outcome<number>;
  readonly max: Outcome<number>;
  /** Quartiles by linear interpolation, type 7 of Hyndman and Fan (1996). */
  readonly lowerQuartile: Outcome<number>;
  readonly upperQuartile: Outcome<number>;
  /** Sample standard deviation, divisor n − 1; needs two values. */
  readonly sd: Outcome<number>;
  /** Standard error of the mean, sd / √n. */
  readonly standardError: Outcome<number>;
  /**
   * 95 % confidence interval of the mean from Student's t with n − 1 degrees of freedom. Undefined when all
   * values are the same: an interval of no width would claim more than the ruler can read.
   */
  readonly interval: Outcome<Interval>;
}

/** Arithmetic mean; `values` must not be empty. */
export function meanOf(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}

/** Sample variance by two passes, divisor n − 1; `values` must hold at least two. */
export function varianceOf(values: readonly number[]): number {
  const mean = meanOf(values);
  return values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (values.length - 1);
}

/**
 * Quantile by linear interpolation, type 7 of Hyndman and Fan (1996).
 * @param sorted ascending, not empty
 * @param p 0 to 1
 */
export function quantileSorted(sorted: readonly number[], p: number): number {
  const position = (sorted.length - 1) * p;
  const below = Math.floor(position);
  const low = sorted[below] as number;
  const high = sorted[Math.min(below + 1, sorted.length - 1)] as number;
  return low + (position - below) * (high - low);
}

/** Describes a sample of any size; figures that need more values than there are say so. */
export function describe(values: readonly number[]): Description {
  const n = values.length;
  if (n === 0) {
    const none = notDefined('no_values');
    return {
      n,
      mean: none,
      median: none,
      min: none,
      max: none,
      lowerQuartile: none,
      upperQuartile: none,
      sd: none,
      standardError: none,
      interval: none,
    };
  }
  const sorted = [...values].sort((a, b) => a - b);
  const mean = meanOf(values);
  const spread = n < 2 ? notDefined('one_value') : defined(Math.sqrt(varianceOf(values)));
  const standardError = spread.defined ? defined(spread.value / Math.sqrt(n)) : spread;
  return {
    n,
    mean: defined(mean),
    median: defined(quantileSorted(sorted, 0.5)),
    min: defined(sorted[0] as number),
    max: defined(sorted[n - 1] as number),
    lowerQuartile: defined(quantileSorted(sorted, 0.25)),
    upperQuartile: defined(quantileSorted(sorted, 0.75)),
    sd: spread,
    standardError,
    interval: meanInterval(mean, n, standardError),
  };
}

function meanInterval(mean: number, n: number, standardError: Outcome<number>): Outcome<Interval> {
  if (!standardError.defined) return standardError;
  if (standardError.value === 0) return notDefined('no_spread');
  return defined(around(mean, tForInterval(0.95, n - 1) * standardError.value));
}

/** The interval that reaches `reach` to either side of `centre`. */
export function around(centre: number, reach: number): Interval {
  return { low: centre - reach, high: centre + reach };
}
