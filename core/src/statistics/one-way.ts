import { defined, notDefined, type Outcome } from '../shared/index.ts';
import { around, type Interval, meanOf, quantileSorted, varianceOf } from './describe.ts';
import { upperF } from './distributions.ts';
import { studentizedRangeLeaving, studentizedRangeSurvival } from './studentized-range.ts';
import type { WelchAnova } from './welch-anova.ts';
import { isNegligible } from './welch-t.ts';

type Groups = readonly (readonly number[])[];

/** Sum of squares within the groups and its degrees of freedom. */
function within(groups: Groups): { squares: number; df: number } {
  const squares = groups.reduce(
    (sum, group) => sum + (group.length < 2 ? 0 : varianceOf(group) * (group.length - 1)),
    0,
  );
  return { squares, df: groups.reduce((sum, group) => sum + group.length - 1, 0) };
}

/**
 * Classical one-way analysis of variance, one variance for all groups (Fisher 1925; R `aov`).
 * Undefined with fewer than two groups, an empty group, no value beyond one a group, or no spread within.
 */
export function oneWayAnova(groups: Groups): Outcome<WelchAnova> {
  if (groups.length < 2) return notDefined('too_few_groups');
  const { squares, df } = within(groups);
  if (groups.some((group) => group.length === 0) || df < 1) return notDefined('group_too_small');
  const all = groups.flat();
  if (isNegligible(Math.sqrt(squares / df), all)) return notDefined('no_spread');
  const centre = meanOf(all);
  const between = groups.reduce((sum, group) => sum + group.length * (meanOf(group) - centre) ** 2, 0);
  const df1 = groups.length - 1;
  const f = between / df1 / (squares / df);
  return defined({ f, df1, df2: df, p: upperF(f, df1, df) });
}

/**
 * The test for equal variances of Brown and Forsythe (1974): one-way analysis of variance of the distances from
 * each group's median. Undefined as {@link oneWayAnova} is for those distances.
 */
export function brownForsythe(groups: Groups): Outcome<WelchAnova> {
  return oneWayAnova(
    groups.map((group) => {
      const middle =
        group.length === 0
          ? 0
          : quantileSorted(
              [...group].sort((a, b) => a - b),
              0.5,
            );
      return group.map((value) => Math.abs(value - middle));
    }),
  );
}

/** A pair out of several groups with one variance for all. */
export interface TukeyPair {
  readonly first: number;
  readonly second: number;
  /** mean(second) − mean(first). */
  readonly difference: number;
  /** Simultaneous 95 % interval. */
  readonly interval: Interval;
  readonly p: number;
}

/**
 * All pairs by Tukey (1953) in the form of Kramer (1956) for unequal groups (R `TukeyHSD`).
 * Undefined as {@link oneWayAnova} is.
 */
export function tukeyKramer(groups: Groups): Outcome<readonly TukeyPair[]> {
  const overall = oneWayAnova(groups);
  if (!overall.defined) return overall;
  const { squares, df } = within(groups);
  const critical = studentizedRangeLeaving(0.05, groups.length, df);
  const pairs = groups.flatMap((one, first) =>
    groups.slice(first + 1).map((other, offset) => {
      const se = Math.sqrt((squares / df / 2) * (1 / one.length + 1 / other.length));
      const difference = meanOf(other) - meanOf(one);
      const p = studentizedRangeSurvival(Math.abs(difference) / se, groups.length, df);
      return {
        first,
        second: first + 1 + offset,
        difference,
        interval: around(difference, critical * se),
        p,
      };
    }),
  );
  return defined(pairs);
}
