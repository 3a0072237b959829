import { defined, type Outcome } from '../shared/index.ts';
import type {
  KruskalWallis,
  LogRank,
  MannWhitney,
  Permutation,
  SharesTest,
  WelchAnova,
  WelchT,
} from '../statistics/index.ts';

/** Every test that a comparison shows, each worded once. */
export const TEST_METHODS = [
  'welch_t',
  'student_t',
  'mann_whitney_exact',
  'mann_whitney_normal',
  'permutation_exact',
  'permutation_drawn',
  'design_t',
  'design_f',
  'dunnett',
  'ranks_shuffled',
  'tukey_kramer',
  'tamhane',
  'dunn_holm',
  'welch_holm',
  'welch_anova',
  'one_way_anova',
  'kruskal_wallis',
  'brown_forsythe',
  'shapiro_wilk',
  'fisher_exact',
  'fisher_drawn',
  'chi_square',
  'binomial_exact',
  'share_by_unit',
  'log_rank',
  'factorial',
  'pearson',
  'spearman',
  'line',
] as const;
export type TestMethod = (typeof TEST_METHODS)[number];

/** One test in figures: its statistic with the degrees of freedom it has, and a two-sided p value. */
export interface TestLine {
  readonly method: TestMethod;
  /** t, F, H, χ², U, W, z or r by the method; absent where the method has none but its p value. */
  readonly statistic: number | null;
  readonly df: number | null;
  /** Second degrees of freedom, of F. */
  readonly df2: number | null;
  readonly p: number;
}

export type TestOutcome = Outcome<TestLine>;

/** A test line from its figures. */
export function testLine(
  method: TestMethod,
  p: number,
  statistic: number | null = null,
  df: number | null = null,
  df2: number | null = null,
): TestLine {
  return { method, statistic, df, df2, p };
}

/** A line from a defined result; the reason goes through. */
export function lineOf<T>(outcome: Outcome<T>, line: (result: T) => TestLine): TestOutcome {
  return outcome.defined ? defined(line(outcome.value)) : outcome;
}

/** The line of a t test. */
export function tLine(method: 'welch_t' | 'student_t', outcome: Outcome<WelchT>): TestOutcome {
  return lineOf(outcome, ({ t, df, p }) => testLine(method, p, t, df));
}

/** The line of an F test. */
export function fLine(
  method: 'welch_anova' | 'one_way_anova' | 'brown_forsythe',
  outcome: Outcome<WelchAnova>,
): TestOutcome {
  return lineOf(outcome, ({ f, df1, df2, p }) => testLine(method, p, f, df1, df2));
}

/** The line of a rank-sum test. */
export function rankLine(outcome: Outcome<MannWhitney>): TestOutcome {
  return lineOf(outcome, ({ u, p, isExact }) =>
    testLine(isExact ? 'mann_whitney_exact' : 'mann_whitney_normal', p, u),
  );
}

/** The line of a permutation test; its statistic is the difference of means. */
export function permutationLine(outcome: Outcome<Permutation>): TestOutcome {
  return lineOf(outcome, ({ difference, p, isExact }) =>
    testLine(isExact ? 'permutation_exact' : 'permutation_drawn', p, difference),
  );
}

/** The line of a test of shares. */
export function sharesLine(outcome: Outcome<SharesTest>): TestOutcome {
  return lineOf(outcome, ({ p, isExact }) => testLine(isExact ? 'fisher_exact' : 'fisher_drawn', p));
}

/** The line of a test by chi-square. */
export function chiSquareLine(
  method: 'kruskal_wallis' | 'log_rank',
  outcome: Outcome<KruskalWallis | LogRank>,
): TestOutcome {
  return lineOf(outcome, (result) =>
    testLine(method, result.p, 'h' in result ? result.h : result.chiSquare, result.df),
  );
}
