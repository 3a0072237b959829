import type { TreatmentsPart } from '@bright-sprout/core/comparison';
import { SQUARES_TYPES, type SquaresType } from '@bright-sprout/core/statistics';
import { IsArray, IsBoolean, IsIn, IsInt, IsNumber, IsOptional, IsString } from 'class-validator';
import { Nested, NestedList, NestedOrNull, OutcomeBase } from '../shared/index.ts';
import { IntervalView, NumberOutcome } from './outcome-views.ts';
import { TestOutcomeView } from './test-views.ts';

/** A pair looked at in every way there is. */
export class PairTestsView {
  @IsString()
  firstId: string;

  @IsString()
  secondId: string;

  @Nested(() => NumberOutcome)
  hedgesG: NumberOutcome;

  @Nested(() => TestOutcomeView)
  welch: TestOutcomeView;

  @Nested(() => TestOutcomeView)
  student: TestOutcomeView;

  @Nested(() => TestOutcomeView)
  ranks: TestOutcomeView;

  @Nested(() => TestOutcomeView)
  permutation: TestOutcomeView;

  /** Arrangements that the permutation test looked at. */
  @IsInt()
  arrangements: number;

  @Nested(() => TestOutcomeView)
  tukey: TestOutcomeView;

  @Nested(() => TestOutcomeView)
  dunn: TestOutcomeView;

  /** Only for pairs with the control. */
  @NestedOrNull(() => TestOutcomeView)
  againstControl: TestOutcomeView | null;
}

/** Letters of a group. */
export class LettersView {
  @IsString()
  groupId: string;

  @IsString()
  letters: string;
}

/** A point of the plot of residuals against a normal shape. */
export class ResidualView {
  @IsNumber()
  expected: number;

  @IsNumber()
  residual: number;
}

/** What the tests take for granted, looked at. */
export class AssumptionsView {
  @NestedList(() => ResidualView)
  residuals: ResidualView[];

  @Nested(() => TestOutcomeView)
  normal: TestOutcomeView;

  @Nested(() => TestOutcomeView)
  spread: TestOutcomeView;

  @Nested(() => NumberOutcome)
  spreadRatio: NumberOutcome;
}

/** A share with its 95 % interval. */
export class ShareView extends IntervalView {
  @IsNumber()
  share: number;
}

/** A share, or the reason why there is none. */
export class ShareOutcome extends OutcomeBase {
  @IsOptional()
  @Nested(() => ShareView)
  value?: ShareView;
}

/** Up or not in a group. */
export class UpShareView {
  @IsString()
  groupId: string;

  @IsInt()
  up: number;

  @IsInt()
  of: number;

  @Nested(() => ShareOutcome)
  share: ShareOutcome;
}

/** A difference with its 95 % interval. */
export class DifferenceView extends IntervalView {
  @IsNumber()
  difference: number;
}

/** A difference, or the reason why there is none. */
export class DifferenceOutcome extends OutcomeBase {
  @IsOptional()
  @Nested(() => DifferenceView)
  value?: DifferenceView;
}

/** A pair's difference of shares, second minus first. */
export class ShareDifferenceView {
  @IsString()
  firstId: string;

  @IsString()
  secondId: string;

  @Nested(() => DifferenceOutcome)
  difference: DifferenceOutcome;
}

/** Up or not, by group. */
export class UpSharesView {
  @NestedList(() => UpShareView)
  groups: UpShareView[];

  @Nested(() => TestOutcomeView)
  fisher: TestOutcomeView;

  @Nested(() => TestOutcomeView)
  chiSquare: TestOutcomeView;

  @IsBoolean()
  isRough: boolean;

  @NestedList(() => ShareDifferenceView)
  differences: ShareDifferenceView[];
}

/** One line of an analysis of variance. */
export class FactorialTermView {
  @IsString({ each: true })
  factors: string[];

  @IsNumber()
  squares: number;

  @IsInt()
  df: number;

  @Nested(() => TestOutcomeView)
  test: TestOutcomeView;
}

/** A crossed design, or one in blocks, term by term. */
export class FactorialView {
  @IsIn(SQUARES_TYPES)
  type: SquaresType;

  @NestedList(() => FactorialTermView)
  terms: FactorialTermView[];

  @IsNumber()
  errorSquares: number;

  @IsInt()
  errorDf: number;

  /** The highest interaction serves as the error, as there is one pot a combination. */
  @IsBoolean()
  isReduced: boolean;

  @IsInt()
  missingCells: number;
}

/** An analysis of variance, or the reason why there is none. */
export class FactorialOutcome extends OutcomeBase {
  @IsOptional()
  @Nested(() => FactorialView)
  value?: FactorialView;
}

/** The mean of a combination; `levels` by index in the order of the factors. */
export class CellView {
  @IsArray()
  @IsInt({ each: true })
  levels: number[];

  @IsInt()
  n: number;

  @IsNumber()
  mean: number;
}

/** Value against amount. */
export class DoseView {
  @IsNumber()
  intercept: number;

  @IsNumber()
  slope: number;

  @IsNumber()
  slopeError: number;

  @Nested(() => IntervalView)
  slopeInterval: IntervalView;

  @IsNumber()
  residualError: number;

  @IsNumber()
  rSquared: number;

  @IsNumber()
  p: number;

  @Nested(() => TestOutcomeView)
  rank: TestOutcomeView;
}

/** A line, or the reason why there is none. */
export class DoseOutcome extends OutcomeBase {
  @IsOptional()
  @Nested(() => DoseView)
  value?: DoseView;
}

/** Treatments looked at in every way a class may ask for. */
export class TreatmentsView {
  @Nested(() => TestOutcomeView)
  anova: TreatmentsPart['anova'];

  @Nested(() => TestOutcomeView)
  welchAnova: TreatmentsPart['welchAnova'];

  @Nested(() => TestOutcomeView)
  kruskalWallis: TreatmentsPart['kruskalWallis'];

  @NestedList(() => PairTestsView)
  pairs: TreatmentsPart['pairs'];

  @NestedList(() => LettersView)
  letters: TreatmentsPart['letters'];

  @Nested(() => AssumptionsView)
  assumptions: TreatmentsPart['assumptions'];

  @Nested(() => UpSharesView)
  up: TreatmentsPart['up'];

  @Nested(() => FactorialOutcome)
  factorial: TreatmentsPart['factorial'];

  @NestedList(() => CellView)
  cells: TreatmentsPart['cells'];

  @Nested(() => DoseOutcome)
  dose: TreatmentsPart['dose'];
}
