import { notDefined, defined, type Outcome } from '../shared/index.ts';
import { tForInterval } from './distributions.ts';
import { CORRELATION_STEP, dunnettLeaving } from './dunnett.ts';
import { normalCdf } from './normal.ts';
import { shownSpreads } from './shown-spreads.ts';
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
 * the others are stepped evenly between: over the spreads that the units may show, the chance of a difference beyond the
 * critical value of the test that will be made. Where all count as one spread this is the noncentral t distribution.
 */
export function plannedPower(planned: PlannedComparison, change: number): number {
  const { groups, units, cells, blocks, cv } = planned;
  const far = Math.max(0, 1 + change);
  const [base, end] = [(cv * cv) / units, (cv * cv * far * far) / units];
  if (base + end === 0) return 0;
  const residual = groups * units - cells - (blocks - 1);
  if (residual < 1) return 0;
  const isOfTwo = groups === 2 && cells === 2;
  if (!isOfTwo && far === 0) return 0;
  const ofGroup = cells / groups;
  const critical = criticalValues(planned, base / (base + end));
  const spreads = shownSpreads({ cells, ofGroup, units: units / ofGroup, hasBlocks: blocks > 1, residual });
  const seen = spreads.reduce((sum, { variances: [first, second], isCommon, df }) => {
    if (isOfTwo) {
      const se = Math.sqrt(first * base + second * end);
      return sum + beyond(critical(df(base, end)) * se, Math.abs(change), Math.sqrt(base + end));
    }
    const shown = Math.sqrt((first + second) / 2);
    const least = (critical(df(1, 1)) * cv) / Math.sqrt(units);
    // One spread of all goes with the means of all; that of one treatment takes its own mean along.
    const needed = isCommon ? scaled(logOfRatio(least), shown) : logOfRatio(least * shown);
    if (needed === undefined) return sum;
    return sum + beyond(needed, Math.abs(Math.log(far)), cv * Math.sqrt(2 / units));
  }, 0);
  return (planned.tested * seen) / spreads.length;
}

function scaled(value: number | undefined, by: number): number | undefined {
  return value === undefined ? undefined : value * by;
}

/** P(|X| > needed) for a normal X about `mean`. */
function beyond(needed: number, mean: number, sd: number): number {
  return normalCdf((mean - needed) / sd) + normalCdf((-mean - needed) / sd);
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

/** Critical values are reckoned at these steps of 1 ÷ df, and between them interpolated. */
const STEPS = 60;
/** Stands for no end of degrees of freedom. */
const LEAST_STEP = 0.05;

/** The critical value of the test that will be made, at any degrees of freedom from 1 on. */
function criticalValues(planned: PlannedComparison, share: number): (df: number) => number {
  const { groups, hasControl, questions } = planned;
  const tail = ALPHA / questions;
  // Dunnett's tails are tabulated at these steps: between them nothing changes.
  const correlation = CORRELATION_STEP * Math.round((share + 0.5) / 2 / CORRELATION_STEP);
  const family = [groups, hasControl, tail, groups === 2 ? 0 : correlation.toFixed(2)].join(' ');
  const table = knownCritical.get(family) ?? [];
  knownCritical.set(family, table);
  const criticalOf = (df: number): number => {
    if (groups === 2) return tForInterval(1 - tail, df);
    return hasControl
      ? dunnettLeaving(tail, groups - 1, correlation, df)
      : studentizedRangeLeaving(tail, groups, df) / Math.SQRT2;
  };
  const at = (step: number): number => (table[step] ??= criticalOf(STEPS / Math.max(step, LEAST_STEP)));
  return (df) => {
    const place = STEPS / Math.max(1, df);
    const low = Math.floor(place);
    return low === place ? at(low) : at(low) + (place - low) * (at(low + 1) - at(low));
  };
}

/** Critical values of each family of tests, by step; those not asked for yet are left out. */
const knownCritical = new Map<string, number[]>();

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
