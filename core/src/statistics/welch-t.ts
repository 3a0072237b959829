import { defined, notDefined, type Outcome } from '../shared/index.ts';
import { around, type Interval, meanOf, varianceOf } from './describe.ts';
import { tForInterval, twoSidedT } from './distributions.ts';

/** Two means compared. */
export interface WelchT {
  /** mean(second) − mean(first). */
  readonly difference: number;
  /** 95 % confidence interval of the difference. */
  readonly interval: Interval;
  readonly t: number;
  /** Welch–Satterthwaite degrees of freedom. */
  readonly df: number;
  /** Two-sided. */
  readonly p: number;
}

/** Standard error of a difference of means and its Welch–Satterthwaite degrees of freedom. */
export function welchError(first: readonly number[], second: readonly number[]): { se: number; df: number } {
  const a = varianceOf(first) / first.length;
  const b = varianceOf(second) / second.length;
  const df = (a + b) ** 2 / (a ** 2 / (first.length - 1) + b ** 2 / (second.length - 1));
  return { se: Math.sqrt(a + b), df };
}

/**
 * Welch's t test of two independent samples with unequal variances (Welch 1947; R `t.test` default).
 * Undefined with fewer than two values in a sample, or when neither sample varies.
 */
export function welchT(first: readonly number[], second: readonly number[]): Outcome<WelchT> {
  if (first.length < 2 || second.length < 2) return notDefined('group_too_small');
  const { se, df } = welchError(first, second);
  const difference = meanOf(second) - meanOf(first);
  if (isNegligible(se, [...first, ...second]) || !Number.isFinite(df)) return notDefined('no_spread');
  const t = difference / se;
  return defined({
    difference,
    interval: around(difference, tForInterval(0.95, df) * se),
    t,
    df,
    p: twoSidedT(t, df),
  });
}

/** True when a spread is only rounding noise beside the values it comes from. */
export function isNegligible(spread: number, values: readonly number[]): boolean {
  const largest = Math.max(...values.map(Math.abs));
  return spread <= largest * 1e-12;
}
