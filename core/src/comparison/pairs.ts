import { defined, notDefined, type Outcome } from '../shared/index.ts';
import {
  ALPHA,
  around,
  type DesignContrast,
  type DesignUnit,
  dunnettLeaving,
  fitDesign,
  permutationTest,
  type FittedDesign,
  studentizedRangeLeaving,
  tForInterval,
  twoSidedT,
  dunnettSurvival,
  studentizedRangeSurvival,
} from '../statistics/index.ts';
import type { Structure } from './structure.ts';
import type { ComparedGroup, PairTest, TreatmentGroup, TreatmentPair } from './types.ts';

/** The values of the compared units in the design they came from. */
export function unitsOf(groups: readonly TreatmentGroup[], structure: Structure): DesignUnit[] {
  return groups.flatMap((group) =>
    group.points.flatMap(({ unitId, value }) => {
      const cell = structure.cellOf.get(unitId);
      return cell === undefined ? [] : [{ value, cell, block: structure.blockOf.get(unitId) ?? 0 }];
    }),
  );
}

/** Fits the model of the design to the compared units; all that a page compares is judged by the same spreads. */
export function fitted(groups: readonly TreatmentGroup[], structure: Structure): Outcome<FittedDesign> {
  const { cells, factors, cellsOf } = structure;
  return fitDesign(unitsOf(groups, structure), cells, Math.max(factors, cells / cellsOf.size));
}

/**
 * Each two groups compared by the model of the design, allowing for how many comparisons there are: with the control
 * by Dunnett (1955), others by Tukey and Kramer (1956), or by Tamhane's T2 (1979) where one has a spread of its own, two
 * groups by t.
 * @param times how many questions the whole answer asks beside this one, counted in: each is held to a share of 5 %
 */
export function pairsBy(
  named: readonly ComparedGroup[],
  groups: readonly TreatmentGroup[],
  structure: Structure,
  fit: Outcome<FittedDesign>,
  times = 1,
): TreatmentPair[] {
  const control = named.find((group) => group.isControl)?.id;
  const filled = groups.filter((group) => group.points.length > 0).length;
  const judge = fit.defined
    ? familyOf(fit.value, groups, structure, control, filled, times)
    : fit.reason === 'no_spread'
      ? shuffledFamily(groups, control, times)
      : (): Outcome<PairTest> => fit;
  return groups.flatMap((one, index) =>
    groups.slice(index + 1).map((other) => {
      const swap = other.groupId === control && one.groupId !== control;
      const [first, second] = swap ? [other, one] : [one, other];
      return pairOf(first, second, judge(first, second));
    }),
  );
}

/** A pair with its test; its difference is that of the model where there is one, else of the means. */
export function pairOf(
  first: TreatmentGroup,
  second: TreatmentGroup,
  test: Outcome<PairTest>,
): TreatmentPair {
  const means = differenceOf(first, second);
  const difference = test.defined && test.value.t !== null ? defined(test.value.difference) : means;
  return {
    firstId: first.groupId,
    secondId: second.groupId,
    difference,
    relative: relativeTo(first, difference),
    test:
      test.defined && means.defined && test.value.t === null
        ? defined({ ...test.value, difference: means.value })
        : test,
  };
}

/** Judges pairs as one family. */
function familyOf(
  fit: FittedDesign,
  groups: readonly TreatmentGroup[],
  structure: Structure,
  control: string | undefined,
  filled: number,
  times: number,
): (first: TreatmentGroup, second: TreatmentGroup) => Outcome<PairTest> {
  const correlation = control === undefined ? 0.5 : correlationOf(fit, groups, structure, control);
  const tail = ALPHA / times;
  const count = (filled * (filled - 1)) / 2;
  return (first, second) => {
    if (first.points.length < 2 || second.points.length < 2) return notDefined('group_too_small');
    const contrast = contrastOf(fit, structure, first.groupId, second.groupId);
    if (!contrast.defined) return contrast;
    const { estimate, se, df } = contrast.value;
    const t = estimate / se;
    const size = Math.abs(t);
    const made = (method: PairTest['method'], p: number, critical: number): Outcome<PairTest> =>
      defined({
        difference: estimate,
        interval: around(estimate, critical * se),
        t,
        df,
        p: Math.min(1, p * times),
        method,
      });
    if (filled === 2) return made('design_t', twoSidedT(t, df), tForInterval(1 - tail, df));
    if (first.groupId === control) {
      const [p, critical] = [
        dunnettSurvival(size, filled - 1, correlation, df),
        dunnettLeaving(tail, filled - 1, correlation, df),
      ];
      return made('dunnett', p, critical);
    }
    if (fit.ownSpread.length > 0) {
      const each = -Math.expm1(Math.log1p(-tail) / count);
      const found = -Math.expm1(count * Math.log1p(-twoSidedT(t, df)));
      return made('tamhane', found, tForInterval(1 - each, df));
    }
    const p = studentizedRangeSurvival(size * Math.SQRT2, filled, df);
    return made('tukey_kramer', p, studentizedRangeLeaving(tail, filled, df) / Math.SQRT2);
  };
}

const SHUFFLE_SEED = 1935;

/**
 * Judges pairs where the pots of each treatment all have one value, so that there is no spread to judge by: labels are
 * shuffled, and p allows by Bonferroni (1936) for the pairs with the control, or for all where there is none.
 */
function shuffledFamily(
  groups: readonly TreatmentGroup[],
  control: string | undefined,
  times: number,
): (first: TreatmentGroup, second: TreatmentGroup) => Outcome<PairTest> {
  const filled = groups.filter((group) => group.points.length > 1).length;
  const pairs = control === undefined ? (filled * (filled - 1)) / 2 : filled - 1;
  return (first, second) => {
    if (first.points.length < 2 || second.points.length < 2) return notDefined('group_too_small');
    const [one, other] = [first, second].map((group) => group.points.map((point) => point.value));
    const found = permutationTest(one ?? [], other ?? [], SHUFFLE_SEED);
    if (!found.defined) return found;
    const { p, difference, isExact } = found.value;
    return defined({
      ...{ difference, interval: null, t: null, df: null },
      p: Math.min(1, p * Math.max(1, pairs) * times),
      method: isExact ? 'permutation_exact' : 'permutation_drawn',
    });
  };
}

/** Second minus first, averaged over what else the treatments had, where both were grown. */
function contrastOf(
  fit: FittedDesign,
  structure: Structure,
  firstId: string,
  secondId: string,
): Outcome<DesignContrast> {
  const [first, second] = [structure.cellsOf.get(firstId), structure.cellsOf.get(secondId)];
  const shared = [...(first ?? [])].flatMap(([rest, cell]): [number, number][] => {
    const other = second?.get(rest);
    const isGrown = other !== undefined && fit.means[cell] !== undefined && fit.means[other] !== undefined;
    return isGrown ? [[cell, other]] : [];
  });
  if (shared.length === 0) return notDefined('missing_cells');
  const weights = new Array<number>(structure.cells).fill(0);
  for (const [cell, other] of shared) {
    weights[cell] = (weights[cell] as number) - 1 / shared.length;
    weights[other] = (weights[other] as number) + 1 / shared.length;
  }
  return fit.contrast(weights);
}

/** The correlation that differences from the control share, over all of them: v₀ ÷ (v₀ + vᵢ). */
function correlationOf(
  fit: FittedDesign,
  groups: readonly TreatmentGroup[],
  structure: Structure,
  control: string,
): number {
  const varianceOf = (id: string): number => {
    const cells = [...(structure.cellsOf.get(id)?.values() ?? [])];
    const known = cells.flatMap((cell) => fit.meanVariances[cell] ?? []);
    return known.length === 0 ? 0 : known.reduce((sum, one) => sum + one, 0) / known.length ** 2;
  };
  const own = varianceOf(control);
  const shares = groups
    .filter((group) => group.groupId !== control && group.points.length > 0)
    .map((group) => own / (own + varianceOf(group.groupId)));
  return shares.length === 0 ? 0.5 : shares.reduce((sum, one) => sum + one, 0) / shares.length;
}

function differenceOf(first: TreatmentGroup, second: TreatmentGroup): Outcome<number> {
  const [a, b] = [first.description.mean, second.description.mean];
  return a.defined && b.defined ? defined(b.value - a.value) : notDefined('no_values');
}

function relativeTo(first: TreatmentGroup, difference: Outcome<number>): Outcome<number> {
  const base = first.description.mean;
  if (!difference.defined || !base.defined) return notDefined('no_values');
  return base.value === 0 ? notDefined('reference_is_zero') : defined(difference.value / base.value);
}

/**
 * The pair that answers first: the largest difference of those that can be told apart, else of all; from the control
 * where there is one.
 * @returns an index, or `null` when no two groups have values
 */
export function mainPair(groups: readonly ComparedGroup[], pairs: readonly TreatmentPair[]): number | null {
  const control = groups.find((group) => group.isControl);
  let best: number | null = null;
  let [wasClear, size] = [false, -1];
  pairs.forEach((pair, index) => {
    if (!pair.difference.defined || (control && pair.firstId !== control.id)) return;
    const isClear = isClearPair(pair);
    const own = Math.abs(pair.difference.value);
    if (isClear === wasClear ? own <= size : wasClear) return;
    [best, wasClear, size] = [index, isClear, own];
  });
  return best;
}

/** True when a pair can be told apart: chance alone would make such a difference in fewer than 5 of 100 experiments. */
export function isClearPair(pair: TreatmentPair): boolean {
  return pair.test.defined && pair.test.value.p < ALPHA;
}
