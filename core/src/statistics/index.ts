export { CAREFUL_MM, CAREFUL_READINGS, isCarefulReader } from './careful-reader.ts';
export { agreementOf, type Agreement, type ReadingError, readingErrorOf } from './agreement.ts';
export { binomialAtLeast, binomialTerms } from './binomial.ts';
export {
  binomialTest,
  chiSquareTest,
  type ChiSquare,
  type CountTable,
  fisherExact,
  proportionDifference,
  type ShareDifference,
} from './contingency.ts';
export { type Correlation, type Line, lineThrough, pearson, spearman } from './correlation.ts';
export { associationOf, type Association, cramersV } from './cramers-v.ts';
export { type SharesTest, sharesTest } from './drawn-tables.ts';
export { around, describe, type Description, type Interval, meanOf, varianceOf } from './describe.ts';
export {
  type FactorialAnova,
  factorialAnova,
  type FactorialTerm,
  type FactorialUnit,
  SUM_OF_SQUARES_TYPES,
  type SumOfSquaresType,
} from './factorial.ts';
export {
  type DesignContrast,
  type DesignUnit,
  fitDesign,
  type FittedDesign,
  type SpreadModel,
} from './design-model.ts';
export { dunnettLeaving, dunnettSurvival } from './dunnett.ts';
export { studentizedRangeLeaving, studentizedRangeSurvival } from './studentized-range.ts';
export { betaQuantile, tForInterval, twoSidedT } from './distributions.ts';
export { gaussLegendre, integrate, type Quadrature } from './gauss-legendre.ts';
export { holm } from './holm.ts';
export { chiSquareSurvival } from './incomplete-gamma.ts';
export { dunnPairs, type DunnPair, kruskalWallis, type KruskalWallis } from './kruskal-wallis.ts';
export { leastSquares } from './least-squares.ts';
export { lettersOf } from './letters.ts';
export { mannWhitney, type MannWhitney } from './mann-whitney.ts';
export { normalQuantile } from './normal-quantile.ts';
export { brownForsythe, oneWayAnova, tukeyKramer, type TukeyPair } from './one-way.ts';
export { pairedT, signedRank, type SignedRank } from './paired.ts';
export { designEffect, sharedShare, shareTest, type ShareTest } from './share-test.ts';
export { shuffledRanks, type ShuffledRanks } from './shuffled-ranks.ts';
export { arrangementsOf, type Permutation, permutationTest } from './permutation.ts';
export { normalCdf, normalDensity } from './normal.ts';
export {
  ALPHA,
  LIKELY,
  type PlannedComparison,
  plannedPower,
  type VisibleChange,
  visibleChange,
} from './planned-power.ts';
export { type Share, updatedShare, wilson } from './proportion.ts';
export { shapiroWilk, type ShapiroWilk } from './shapiro-wilk.ts';
export { hedgesG, studentT } from './student-t.ts';
export {
  kaplanMeier,
  type KaplanMeier,
  logRank,
  type LogRank,
  solve,
  type Wait,
  type WaitingStep,
} from './survival.ts';
export { type WelchAnova, welchAnova } from './welch-anova.ts';
export { type WelchT, welchT } from './welch-t.ts';
