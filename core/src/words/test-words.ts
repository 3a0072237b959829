import { say } from '@bright-sprout/words/statements';
import type { TestLine, TestMethod, TestOutcome } from '../comparison/index.ts';
import { pText } from './luck-words.ts';
import { undefinedWords } from './undefined-words.ts';

/** Each test by name, with the symbol of its statistic; none for a test that gives only its p value. */
export const TEST_NAMES: Record<TestMethod, { readonly name: string; readonly symbol: string }> = {
  welch_t: { name: say('welchsTTest'), symbol: 't' },
  student_t: { name: say('studentsTTest'), symbol: 't' },
  mann_whitney_exact: { name: say('mannWhitneyExact'), symbol: 'U' },
  mann_whitney_normal: { name: say('mannWhitneyWithTies'), symbol: 'U' },
  permutation_exact: { name: say('permutationTestEveryArrangement'), symbol: '' },
  permutation_drawn: { name: say('permutationTestShufflesDrawnByChance'), symbol: '' },
  design_t: { name: say('tTestByTheModelOfThe'), symbol: 't' },
  design_f: { name: say('fTestByTheModelOfThe'), symbol: 'F' },
  ranks_shuffled: { name: say('ranksShuffledBetweenTheGroups'), symbol: 'H' },
  dunnett: { name: say('dunnettAgainstTheControl'), symbol: 't' },
  tukey_kramer: { name: 'Tukey–Kramer', symbol: '' },
  tamhane: { name: say('welchAllowingForAllPairs'), symbol: 't' },
  dunn_holm: { name: say('dunnAllowingForAllPairsHolm'), symbol: 'z' },
  welch_holm: { name: say('welchAgainstTheControlHolm'), symbol: 't' },
  welch_anova: { name: say('welchsAnalysisOfVariance'), symbol: 'F' },
  one_way_anova: { name: say('oneWayAnalysisOfVariance'), symbol: 'F' },
  kruskal_wallis: { name: 'Kruskal–Wallis', symbol: 'H' },
  brown_forsythe: { name: say('equalSpreadBrownForsythe'), symbol: 'F' },
  shapiro_wilk: { name: say('bellShapeShapiroWilk'), symbol: 'W' },
  fisher_exact: { name: say('fishersExactTest'), symbol: '' },
  fisher_drawn: { name: say('fishersTestDrawn'), symbol: '' },
  chi_square: { name: 'Chi-square', symbol: 'χ²' },
  binomial_exact: { name: say('exactBinomialTest'), symbol: '' },
  share_by_unit: { name: say('shareOfSeedsPotsAsUnits'), symbol: 't' },
  log_rank: { name: say('logRankTest'), symbol: 'χ²' },
  factorial: { name: say('analysisOfVariance'), symbol: 'F' },
  pearson: { name: say('pearsonsCorrelation'), symbol: 'r' },
  spearman: { name: say('spearmansRankCorrelation'), symbol: 'ρ' },
  line: { name: say('slopeOfTheLine'), symbol: 't' },
};

/** A test in figures: `Welch’s t test: t = 2.31, df = 7.1, p = 0.054`, or why there is none. */
export function testText(outcome: TestOutcome): string {
  return outcome.defined
    ? `${TEST_NAMES[outcome.value.method].name}: ${figuresText(outcome.value)}`
    : say('noTest', { undefinedWords: undefinedWords(outcome.reason) });
}

/** The figures of a test without its name. */
export function figuresText(line: TestLine): string {
  const { symbol } = TEST_NAMES[line.method];
  const { statistic, df, df2, p } = line;
  const freedom = df2 === null ? '' : `(${shortDf(df ?? 0)}, ${shortDf(df2)})`;
  const figure = symbol && statistic !== null ? `${symbol}${freedom} = ${statistic.toFixed(2)}, ` : '';
  const oneDf = df !== null && df2 === null ? say('df', { shortDf: shortDf(df) }) : '';
  return `${figure}${oneDf}${pText(p)}`;
}

function shortDf(df: number): string {
  return Number.isInteger(df) ? String(df) : df.toFixed(1);
}
