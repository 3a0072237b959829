import { defined, notDefined, type Outcome } from '../shared/index.ts';
import {
  brownForsythe,
  chiSquareTest,
  dunnPairs,
  sharesTest,
  hedgesG,
  holm,
  kruskalWallis,
  lettersOf,
  mannWhitney,
  meanOf,
  normalQuantile,
  oneWayAnova,
  permutationTest,
  proportionDifference,
  type Share,
  type ShareDifference,
  shapiroWilk,
  type SumOfSquaresType,
  studentT,
  tukeyKramer,
  welchAnova,
  welchT,
  wilson,
} from '../statistics/index.ts';
import { dose, type DoseResponse, factorial, type FactorialPart } from './factorial-part.ts';
import type { Design } from './grouping.ts';
import {
  chiSquareLine,
  fLine,
  lineOf,
  permutationLine,
  rankLine,
  sharesLine,
  testLine,
  type TestOutcome,
  tLine,
} from './test-line.ts';
import type { Comparison, TreatmentGroup } from './types.ts';

/** A pair of groups looked at in every way there is. */
export interface PairTests {
  readonly firstId: string;
  readonly secondId: string;
  /** Difference in standard deviations, Hedges (1981). */
  readonly hedgesG: Outcome<number>;
  readonly welch: TestOutcome;
  readonly student: TestOutcome;
  readonly ranks: TestOutcome;
  readonly permutation: TestOutcome;
  /** Arrangements the permutation test looked at; 0 when it is undefined. */
  readonly arrangements: number;
  readonly tukey: TestOutcome;
  readonly dunn: TestOutcome;
  /** Welch's t against the control alone, Holm's correction over those pairs; absent for other pairs. */
  readonly againstControl: TestOutcome | null;
}

/** Up or not, by group. */
export interface UpShares {
  readonly groups: readonly {
    readonly groupId: string;
    readonly up: number;
    readonly of: number;
    readonly share: Outcome<Share>;
  }[];
  readonly fisher: TestOutcome;
  readonly chiSquare: TestOutcome;
  /** Expected counts below 5 make the chi-square rough. */
  readonly isRough: boolean;
  /** Each pair's difference of shares, second minus first, with its 95 % interval (Newcombe 1998). */
  readonly differences: readonly {
    readonly firstId: string;
    readonly secondId: string;
    readonly difference: Outcome<ShareDifference>;
  }[];
}

/** What the tests take for granted, looked at. */
export interface Assumptions {
  /** The residuals against the quantiles of a normal distribution, in rising order. */
  readonly residuals: readonly { readonly expected: number; readonly residual: number }[];
  readonly normal: TestOutcome;
  readonly spread: TestOutcome;
  /** Largest group SD ÷ smallest. */
  readonly spreadRatio: Outcome<number>;
}

/** Treatments looked at in every way a class may ask for. */
export interface TreatmentsPart {
  readonly anova: TestOutcome;
  readonly welchAnova: TestOutcome;
  readonly kruskalWallis: TestOutcome;
  readonly pairs: readonly PairTests[];
  /** Groups that share a letter were not told apart at 5 %, in the order of the groups. */
  readonly letters: readonly { readonly groupId: string; readonly letters: string }[];
  readonly assumptions: Assumptions;
  readonly up: UpShares;
  readonly factorial: Outcome<FactorialPart>;
  /** Value against the amount of the first factor, where its levels are amounts. */
  readonly dose: Outcome<DoseResponse>;
}

const PERMUTATION_SEED = 1935;
/** With more pairs only the main one is shuffled. */
const MOST_SHUFFLED_PAIRS = 28;

/**
 * Everything that a comparison says of treatments beside its answer.
 * @param up units up by the day, of those that were looked at
 */
export function treatmentsPart(
  comparison: Comparison,
  design: Design,
  up: ReadonlyMap<string, boolean>,
  type: SumOfSquaresType,
): TreatmentsPart {
  const filled = comparison.groups.filter((group) => group.points.length > 0);
  const values = filled.map(valuesOf);
  return {
    anova: fLine('one_way_anova', oneWayAnova(values)),
    welchAnova: fLine('welch_anova', welchAnova(values)),
    kruskalWallis: chiSquareLine('kruskal_wallis', kruskalWallis(values)),
    pairs: pairTests(comparison, filled),
    letters: letters(comparison, filled),
    assumptions: assumptions(values),
    up: upShares(comparison, up),
    factorial: factorial(comparison, design, type),
    dose: dose(comparison, design),
  };
}

function valuesOf(group: TreatmentGroup): number[] {
  return group.points.map((point) => point.value);
}

function pairTests(comparison: Comparison, filled: readonly TreatmentGroup[]): PairTests[] {
  const values = new Map(filled.map((group) => [group.groupId, valuesOf(group)]));
  const place = new Map(filled.map((group, index) => [group.groupId, index]));
  const tukey = tukeyKramer([...values.values()]);
  const dunn = dunnPairs([...values.values()]);
  const isFew = comparison.pairs.length <= MOST_SHUFFLED_PAIRS;
  const pairs = comparison.pairs.map((pair, at): PairTests => {
    const first = values.get(pair.firstId) ?? [];
    const second = values.get(pair.secondId) ?? [];
    const permutation =
      isFew || at === comparison.mainPair
        ? permutationTest(first, second, PERMUTATION_SEED)
        : notDefined('too_many_pairs');
    const isSame = (candidate: { first: number; second: number }): boolean => {
      const [a, b] = [place.get(pair.firstId), place.get(pair.secondId)];
      return (
        (candidate.first === a && candidate.second === b) || (candidate.first === b && candidate.second === a)
      );
    };
    return {
      firstId: pair.firstId,
      secondId: pair.secondId,
      hedgesG: hedgesG(first, second),
      welch: tLine('welch_t', welchT(first, second)),
      student: tLine('student_t', studentT(first, second)),
      ranks: rankLine(mannWhitney(first, second)),
      permutation: permutationLine(permutation),
      arrangements: permutation.defined ? permutation.value.arrangements : 0,
      tukey: lineOf(tukey, (all) => testLine('tukey_kramer', all.find(isSame)?.p ?? 1)),
      dunn: lineOf(dunn, (all) => {
        const own = all.find(isSame);
        const isTurned = own?.first !== place.get(pair.firstId);
        return testLine('dunn_holm', own?.p ?? 1, own ? (isTurned ? -own.z : own.z) : null);
      }),
      againstControl: null,
    };
  });
  return withControl(comparison, pairs);
}

/** Adds the tests against the control, corrected for how many there are. */
function withControl(comparison: Comparison, pairs: readonly PairTests[]): PairTests[] {
  const controlId = comparison.controlId;
  const own = pairs.filter((pair) => pair.firstId === controlId);
  const known = own.flatMap((pair) => (pair.welch.defined ? [pair.welch.value.p] : []));
  const corrected = holm(known);
  let next = 0;
  return pairs.map((pair) => {
    if (!own.includes(pair)) return pair;
    if (!pair.welch.defined) return { ...pair, againstControl: pair.welch };
    const { statistic, df } = pair.welch.value;
    const p = corrected[next] as number;
    next += 1;
    return { ...pair, againstControl: defined(testLine('welch_holm', p, statistic, df)) };
  });
}

function letters(
  comparison: Comparison,
  filled: readonly TreatmentGroup[],
): { groupId: string; letters: string }[] {
  const place = new Map(filled.map((group, index) => [group.groupId, index]));
  const different = comparison.pairs.flatMap((pair): [number, number][] => {
    const [a, b] = [place.get(pair.firstId), place.get(pair.secondId)];
    const isDifferent = pair.test.defined && pair.test.value.p < 0.05;
    return isDifferent && a !== undefined && b !== undefined ? [[a, b]] : [];
  });
  if (comparison.pairs.some((pair) => !pair.test.defined)) return [];
  const order = filled
    .map((group, index) => ({ index, mean: meanOf(valuesOf(group)) }))
    .sort((a, b) => b.mean - a.mean)
    .map(({ index }) => index);
  return lettersOf(filled.length, different, order).map((own, index) => ({
    groupId: filled[index]?.groupId ?? '',
    letters: own,
  }));
}

function assumptions(groups: readonly (readonly number[])[]): Assumptions {
  const residuals = groups.flatMap((group) => {
    const mean = meanOf(group);
    return group.length < 2 ? [] : group.map((value) => value - mean);
  });
  const sorted = [...residuals].sort((a, b) => a - b);
  const spreads = groups.flatMap((group) => {
    if (group.length < 2) return [];
    const mean = meanOf(group);
    return [Math.sqrt(group.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (group.length - 1))];
  });
  const least = Math.min(...spreads);
  return {
    residuals: sorted.map((residual, index) => ({
      expected: normalQuantile((index + 1 - 0.375) / (sorted.length + 0.25)),
      residual,
    })),
    normal: lineOf(shapiroWilk(residuals), ({ w, p }) => testLine('shapiro_wilk', p, w)),
    spread: fLine('brown_forsythe', brownForsythe(groups)),
    spreadRatio:
      spreads.length < 2
        ? notDefined('group_too_small')
        : least > 0
          ? defined(Math.max(...spreads) / least)
          : notDefined('no_spread'),
  };
}

function upShares(comparison: Comparison, up: ReadonlyMap<string, boolean>): UpShares {
  const groups = comparison.groups.map((group) => {
    const ids = [...group.points, ...group.counts.leftOut].map((unit) => unit.unitId);
    const seen = ids.flatMap((id) => up.get(id) ?? []);
    const count = seen.filter(Boolean).length;
    return { groupId: group.groupId, up: count, of: seen.length, share: wilson(count, seen.length) };
  });
  const table = groups.map(({ up: count, of }) => [count, of - count]);
  const chiSquare = chiSquareTest(table);
  return {
    groups,
    fisher: sharesLine(sharesTest(table)),
    chiSquare: lineOf(chiSquare, (test) => testLine('chi_square', test.p, test.chiSquare, test.df)),
    isRough: chiSquare.defined && chiSquare.value.isRough,
    differences: comparison.pairs.map(({ firstId, secondId }) => {
      const [a, b] = [firstId, secondId].map((id) => groups.find((group) => group.groupId === id));
      const difference =
        a && b
          ? proportionDifference({ count: a.up, of: a.of }, { count: b.up, of: b.of })
          : notDefined('no_values');
      return { firstId, secondId, difference };
    }),
  };
}
