import { defined, notDefined, type Outcome } from '../shared/index.ts';
import { fLeaving, noncentralTBelow, tForInterval, upperNoncentralF } from './distributions.ts';

/** The error rate that every planned test is held to. */
export const ALPHA = 0.05;
/** The chance of seeing a difference that counts as likely. */
export const LIKELY = 0.8;

const WIDEST = 1024;
const HALVINGS = 32;

/**
 * Power of the two-sided two-sample t test (both tails counted) with `n` units a group.
 * @param n units a group, may be an expected number and so fractional; at least 2
 * @param d difference of means ÷ standard deviation of units, ≥ 0
 */
export function powerOfT(n: number, d: number): number {
  const df = 2 * (n - 1);
  const noncentrality = d * Math.sqrt(n / 2);
  const critical = tForInterval(1 - ALPHA, df);
  const below = noncentralTBelow(critical, df, noncentrality);
  return 1 - below + (1 - noncentralTBelow(critical, df, -noncentrality));
}

/**
 * Power of the one-way F test over `groups` groups of `n` units, when two of them differ by `d` standard
 * deviations and all others lie midway: noncentrality n·d²/2, the least for that range (Cohen 1988, pattern 1).
 */
export function powerOfF(groups: number, n: number, d: number): number {
  const [df1, df2] = [groups - 1, groups * (n - 1)];
  return upperNoncentralF(fLeaving(ALPHA, df1, df2), df1, df2, (n * d * d) / 2);
}

/**
 * The smallest difference, in standard deviations of units, that is seen with a chance of {@link LIKELY}:
 * by the t test between two groups, by the F test as in {@link powerOfF} among more.
 * @returns undefined for fewer than two groups or two units a group
 */
export function smallestDifference(groups: number, n: number): Outcome<number> {
  if (groups < 2) return notDefined('too-few-groups');
  if (n < 2) return notDefined('group-too-small');
  const power = (d: number): number => (groups === 2 ? powerOfT(n, d) : powerOfF(groups, n, d));
  let [low, high] = [0, 1];
  while (power(high) < LIKELY && high < WIDEST) [low, high] = [high, 2 * high];
  for (let step = 0; step < HALVINGS; step += 1) {
    const middle = (low + high) / 2;
    if (power(middle) < LIKELY) low = middle;
    else high = middle;
  }
  return defined((low + high) / 2);
}
