import { notDefined, defined, type Outcome } from '../shared/index.ts';
import { noncentralTBelow, tForInterval } from './distributions.ts';
import { dunnettLeaving } from './dunnett.ts';
import { studentizedRangeLeaving } from './studentized-range.ts';

/** The error rate that every planned test is held to. */
export const ALPHA = 0.05;
/** The chance of seeing a difference that counts as likely. */
export const LIKELY = 0.8;

/** A comparison that is planned: what the model of the design will have to judge by. */
export interface PlannedComparison {
  /** Groups compared with each other. */
  readonly groups: number;
  /** Units expected to have a value in each group, 2 or more. */
  readonly units: number;
  /** Combinations grown: each takes a degree of freedom. */
  readonly cells: number;
  /** Blocks, 1 for none. */
  readonly blocks: number;
  readonly hasControl: boolean;
  /** Questions that the answer allows for, 1 for a design that is not crossed. */
  readonly questions: number;
  /** Chance that there is anything to test: two units or more with a value on both sides. */
  readonly tested: number;
  /** SD ÷ mean of units treated alike; it grows with the mean. */
  readonly cv: number;
}

/**
 * The chance to tell the two ends apart when the far one is `change` of the base higher (above 0) or lower (below 0) and
 * the others are stepped evenly between: the noncentral t distribution at the critical value of the test that will be
 * made, with the spread that each mean has.
 */
export function plannedPower(planned: PlannedComparison, change: number): number {
  const { groups, units, cells, blocks, cv } = planned;
  const far = Math.max(0, 1 + change);
  const [base, end] = [(cv * cv) / units, (cv * cv * far * far) / units];
  if (base + end === 0) return 0;
  const residual = groups * units - cells - (blocks - 1);
  if (residual < 1) return 0;
  const critical = criticalOf(planned, residual, base / (base + end));
  if (groups === 2 && cells === 2) {
    // The error of two groups of unequal spread has fewer degrees of freedom than the test allows for (Satterthwaite 1946).
    const df = ((base + end) ** 2 / (base ** 2 + end ** 2)) * (residual / 2);
    return planned.tested * powerBeyond(critical, df, Math.abs(change) / Math.sqrt(base + end));
  }
  const needed = logOfRatio((critical * cv) / Math.sqrt(units));
  if (needed === undefined || far === 0) return 0;
  const error = cv * Math.sqrt(2 / units);
  return planned.tested * powerBeyond(needed / error, residual, Math.abs(Math.log(far)) / error);
}

/**
 * Where spread goes with the mean, a mean that comes out high raises its own error: the test is one of the ratio r of the
 * means, |r − 1| ÷ √(1 + r²) > k, and ln r is what varies evenly.
 * @returns the least |ln r|; `undefined` where no ratio is enough
 */
function logOfRatio(k: number): number | undefined {
  if (k >= 1) return undefined;
  const rest = 1 - k * k;
  return Math.log((1 + Math.sqrt(1 - rest * rest)) / rest);
}

function criticalOf(planned: PlannedComparison, df: number, share: number): number {
  const { groups, hasControl, questions } = planned;
  const tail = ALPHA / questions;
  if (groups === 2) return tForInterval(1 - tail, df);
  return hasControl
    ? dunnettLeaving(tail, groups - 1, (share + 0.5) / 2, df)
    : studentizedRangeLeaving(tail, groups, df) / Math.SQRT2;
}

/** P(|T| > critical) for the noncentral t distribution, both tails. */
export function powerBeyond(critical: number, df: number, noncentrality: number): number {
  const below = noncentralTBelow(critical, df, noncentrality);
  return 1 - below + (1 - noncentralTBelow(critical, df, -noncentrality));
}

const WIDEST = 64;
const DEEPEST = 0.98;
const HALVINGS = 24;

/** The smallest changes that are seen with a chance of {@link LIKELY}, as shares of the base, both above 0. */
export interface VisibleChange {
  readonly more: number;
  /** Undefined where not even nothing left would be seen. */
  readonly less: Outcome<number>;
}

/** @returns undefined for fewer than two groups or two units a group, or where nothing would be seen */
export function visibleChange(planned: PlannedComparison): Outcome<VisibleChange> {
  if (planned.groups < 2) return notDefined('too_few_groups');
  if (planned.units < 2) return notDefined('group_too_small');
  const more = smallest((change) => plannedPower(planned, change), WIDEST);
  if (!more.defined) return more;
  return defined({ more: more.value, less: smallest((change) => plannedPower(planned, -change), DEEPEST) });
}

function smallest(power: (change: number) => number, most: number): Outcome<number> {
  let [low, high] = [0, Math.min(1, most)];
  while (power(high) < LIKELY) {
    if (high >= most) return notDefined('group_too_small');
    [low, high] = [high, 2 * high];
  }
  for (let step = 0; step < HALVINGS; step += 1) {
    const middle = (low + high) / 2;
    if (power(middle) < LIKELY) low = middle;
    else high = middle;
  }
  return defined((low + high) / 2);
}
