import { defined, notDefined, type Outcome } from '../shared/index.ts';
import { meanOf, varianceOf } from './describe.ts';
import { upperF } from './distributions.ts';
import { isNegligible } from './welch-t.ts';

/** Several means compared at once. */
export interface WelchAnova {
  readonly f: number;
  readonly df1: number;
  readonly df2: number;
  readonly p: number;
}

/**
 * Welch's analysis of variance for unequal variances (Welch 1951; R `oneway.test` default).
 * Undefined with fewer than two groups, with a group of fewer than two values, or with a group that does not vary.
 */
export function welchAnova(groups: readonly (readonly number[])[]): Outcome<WelchAnova> {
  if (groups.length < 2) return notDefined('too_few_groups');
  if (groups.some((group) => group.length < 2)) return notDefined('group_too_small');
  const variances = groups.map(varianceOf);
  if (variances.some((variance, index) => isNegligible(Math.sqrt(variance), groups[index] ?? []))) {
    return notDefined('no_spread');
  }
  const k = groups.length;
  const weights = groups.map((group, index) => group.length / (variances[index] as number));
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const means = groups.map(meanOf);
  const centre = means.reduce((sum, mean, index) => sum + mean * (weights[index] as number), 0) / total;
  const between =
    means.reduce((sum, mean, index) => sum + (weights[index] as number) * (mean - centre) ** 2, 0) / (k - 1);
  const lambda = groups.reduce(
    (sum, group, index) => sum + (1 - (weights[index] as number) / total) ** 2 / (group.length - 1),
    0,
  );
  const f = between / (1 + (2 * (k - 2) * lambda) / (k * k - 1));
  const df1 = k - 1;
  const df2 = (k * k - 1) / (3 * lambda);
  return defined({ f, df1, df2, p: upperF(f, df1, df2) });
}
