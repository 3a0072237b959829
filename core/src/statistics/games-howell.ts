import { defined, notDefined, type Outcome } from '../shared/index.ts';
import { around, type Interval, meanOf } from './describe.ts';
import { studentizedRangeLeaving, upperStudentizedRange } from './studentized-range.ts';
import { isNegligible, welchError, welchT } from './welch-t.ts';

/** One pair out of several groups, allowing for all the pairs that could be compared. */
export interface PairDifference {
  /** mean(second) − mean(first). */
  readonly difference: number;
  /** Simultaneous 95 % interval. */
  readonly interval: Interval;
  /** Studentised range statistic. */
  readonly q: number;
  readonly df: number;
  readonly p: number;
}

/**
 * One pair by Games and Howell (1976): Welch's standard error and degrees of freedom with the studentised
 * range of `groupCount` means. With two groups it is Welch's t test, which is what is computed then.
 * Undefined with fewer than two values in either group, or when neither varies.
 */
export function gamesHowellPair(
  first: readonly number[],
  second: readonly number[],
  groupCount: number,
): Outcome<PairDifference> {
  if (groupCount < 2) return notDefined('too-few-groups');
  if (first.length < 2 || second.length < 2) return notDefined('group-too-small');
  const { se, df } = welchError(first, second);
  if (isNegligible(se, [...first, ...second]) || !Number.isFinite(df)) return notDefined('no-spread');
  const difference = meanOf(second) - meanOf(first);
  const q = (Math.abs(difference) / se) * Math.SQRT2;
  if (groupCount === 2) return twoGroups(first, second, q);
  const reach = (studentizedRangeLeaving(0.05, groupCount, df) * se) / Math.SQRT2;
  return defined({
    difference,
    interval: around(difference, reach),
    q,
    df,
    p: upperStudentizedRange(q, groupCount, df),
  });
}

function twoGroups(first: readonly number[], second: readonly number[], q: number): Outcome<PairDifference> {
  const test = welchT(first, second);
  if (!test.defined) return test;
  const { difference, interval, df, p } = test.value;
  return defined({ difference, interval, q, df, p });
}
