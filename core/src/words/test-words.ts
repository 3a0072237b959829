import type { TestLine, TestMethod, TestOutcome } from '../comparison/index.ts';
import { pText } from './luck-words.ts';
import { undefinedWords } from './undefined-words.ts';

/** Each test by name, with the symbol of its statistic; none for a test that gives only its p value. */
export const TEST_NAMES: Record<TestMethod, { readonly name: string; readonly symbol: string }> = {
  welch_t: { name: 'Welch’s t test', symbol: 't' },
  student_t: { name: 'Student’s t test', symbol: 't' },
  mann_whitney_exact: { name: 'Mann–Whitney, exact', symbol: 'U' },
  mann_whitney_normal: { name: 'Mann–Whitney, with ties', symbol: 'U' },
  permutation_exact: { name: 'Permutation test, every arrangement', symbol: '' },
  permutation_drawn: { name: 'Permutation test, shuffles drawn by chance', symbol: '' },
  design_t: { name: 't test by the model of the design', symbol: 't' },
  design_f: { name: 'F test by the model of the design', symbol: 'F' },
  ranks_shuffled: { name: 'Ranks, shuffled between the groups', symbol: 'H' },
  dunnett: { name: 'Dunnett, against the control', symbol: 't' },
  tukey_kramer: { name: 'Tukey–Kramer', symbol: '' },
  dunn_holm: { name: 'Dunn, allowing for all pairs (Holm)', symbol: 'z' },
  welch_holm: { name: 'Welch against the control (Holm)', symbol: 't' },
  welch_anova: { name: 'Welch’s analysis of variance', symbol: 'F' },
  one_way_anova: { name: 'One-way analysis of variance', symbol: 'F' },
  kruskal_wallis: { name: 'Kruskal–Wallis', symbol: 'H' },
  brown_forsythe: { name: 'Equal spread, Brown–Forsythe', symbol: 'F' },
  shapiro_wilk: { name: 'Bell shape, Shapiro–Wilk', symbol: 'W' },
  fisher_exact: { name: 'Fisher’s exact test', symbol: '' },
  chi_square: { name: 'Chi-square', symbol: 'χ²' },
  binomial_exact: { name: 'Exact binomial test', symbol: '' },
  share_by_unit: { name: 'Share of seeds, pots as units', symbol: 't' },
  log_rank: { name: 'Log-rank test', symbol: 'χ²' },
  factorial: { name: 'Analysis of variance', symbol: 'F' },
  pearson: { name: 'Pearson’s correlation', symbol: 'r' },
  spearman: { name: 'Spearman’s rank correlation', symbol: 'ρ' },
  line: { name: 'Slope of the line', symbol: 't' },
};

/** A test in figures: `Welch’s t test: t = 2.31, df = 7.1, p = 0.054`, or why there is none. */
export function testText(outcome: TestOutcome): string {
  return outcome.defined
    ? `${TEST_NAMES[outcome.value.method].name}: ${figuresText(outcome.value)}`
    : `no test: ${undefinedWords(outcome.reason)}`;
}

/** The figures of a test without its name. */
export function figuresText(line: TestLine): string {
  const { symbol } = TEST_NAMES[line.method];
  const { statistic, df, df2, p } = line;
  const freedom = df2 === null ? '' : `(${shortDf(df ?? 0)}, ${shortDf(df2)})`;
  const figure = symbol && statistic !== null ? `${symbol}${freedom} = ${statistic.toFixed(2)}, ` : '';
  const oneDf = df !== null && df2 === null ? `df = ${shortDf(df)}, ` : '';
  return `${figure}${oneDf}${pText(p)}`;
}

function shortDf(df: number): string {
  return Number.isInteger(df) ? String(df) : df.toFixed(1);
}
