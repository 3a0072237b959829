import { defined, notDefined, type Outcome } from '../shared/index.ts';
import { around, meanOf, varianceOf } from './describe.ts';
import { tForInterval, twoSidedT } from './distributions.ts';
import { logGamma } from './incomplete-beta.ts';
import { isNegligible, type WelchT } from './welch-t.ts';

/** Standard deviation within two groups taken together, divisor n₁ + n₂ − 2; each needs a value, both together three. */
function pooledSd(first: readonly number[], second: readonly number[]): number {
  const squares = [first, second].reduce(
    (sum, group) => sum + (group.length < 2 ? 0 : varianceOf(group) * (group.length - 1)),
    0,
  );
  return Math.sqrt(squares / (first.length + second.length - 2));
}

/**
 * Student's t test of two independent samples with one variance (Student 1908; R `t.test(var.equal = TRUE)`).
 * Undefined for an empty group, fewer than three values in all, or when neither group varies.
 */
export function studentT(first: readonly number[], second: readonly number[]): Outcome<WelchT> {
  const df = first.length + second.length - 2;
  if (first.length === 0 || second.length === 0 || df < 1) return notDefined('group_too_small');
  const sd = pooledSd(first, second);
  if (isNegligible(sd, [...first, ...second])) return notDefined('no_spread');
  const se = sd * Math.sqrt(1 / first.length + 1 / second.length);
  const difference = meanOf(second) - meanOf(first);
  const t = difference / se;
  const interval = around(difference, tForInterval(0.95, df) * se);
  return defined({ difference, interval, t, df, p: twoSidedT(t, df) });
}

/**
 * Hedges' g (1981): the difference of means in pooled standard deviations, times the exact correction
 * J = Γ(df/2) ÷ (√(df/2)·Γ((df − 1)/2)) for small samples.
 * Undefined with fewer than two values in a group, or when neither varies.
 */
export function hedgesG(first: readonly number[], second: readonly number[]): Outcome<number> {
  if (first.length < 2 || second.length < 2) return notDefined('group_too_small');
  const sd = pooledSd(first, second);
  if (isNegligible(sd, [...first, ...second])) return notDefined('no_spread');
  const df = first.length + second.length - 2;
  const correction = Math.exp(logGamma(df / 2) - logGamma((df - 1) / 2)) / Math.sqrt(df / 2);
  return defined((correction * (meanOf(second) - meanOf(first))) / sd);
}
