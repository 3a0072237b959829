import 'reflect-metadata';
import {
  type ComparedGroup,
  type Comparison,
  type EmergencePart,
  type FactorQuestion,
  type Fate,
  type Fates,
  type GrowthPart,
  type Lead,
  LEFT_OUT_REASONS,
  type LeftOutReason,
  NOT_UP_RULES,
  type NotUpRule,
  type PairTest,
  SUMMARIES,
  type Summary,
  type TeamsPart,
  TEST_METHODS,
  type TestMethod,
  type TestOutcome,
  type Together,
  type TreatmentsPart,
} from '@bright-sprout/core/comparison';
import type { ComparisonWords } from '@bright-sprout/core/words';
import type { CalendarDay, Outcome, UndefinedReason } from '@bright-sprout/core/shared';
import type { Description, Interval } from '@bright-sprout/core/statistics';
import { IsBoolean, IsIn, IsInt, IsNumber, IsOptional, IsString } from 'class-validator';
import { IsCalendarDay, IsId, Nested, NestedList, NestedOrNull } from '../shared/index.ts';
import { TeamsView } from './class-views.ts';
import { AnalysedDesignView } from './design-views.ts';
import { EmergenceView } from './emergence-views.ts';
import { GrowthView } from './growth-views.ts';
import { DescriptionView, IntervalOutcome, IntervalView, NumberOutcome } from './outcome-views.ts';
import { TestOutcomeView } from './test-views.ts';
import { TreatmentsView } from './treatments-views.ts';

/** The value of one unit on the day. */
export class UnitPointView {
  @IsId()
  unitId: string;

  @IsInt()
  number: number;

  @IsNumber()
  value: number;
}

/** A unit without a value on the day, and why. */
export class LeftOutView {
  @IsId()
  unitId: string;

  @IsInt()
  number: number;

  @IsIn(LEFT_OUT_REASONS)
  reason: LeftOutReason;
}

/** How the units of a treatment were found. */
export class UnitCountsView {
  @IsInt()
  units: number;

  @IsInt()
  measured: number;

  @IsInt()
  countedAsZero: number;

  @NestedList(() => LeftOutView)
  leftOut: readonly LeftOutView[];
}

/** A treatment on the day. */
export class TreatmentGroupView {
  @IsString()
  groupId: string;

  @NestedList(() => UnitPointView)
  points: readonly UnitPointView[];

  @Nested(() => UnitCountsView)
  counts: UnitCountsView;

  @Nested(() => DescriptionView)
  description: Description;
}

/** A pair judged by the model of the design. */
export class PairTestView implements PairTest {
  @IsNumber()
  difference: number;

  @NestedOrNull(() => IntervalView)
  interval: IntervalView | null;

  @IsOptional()
  @IsNumber()
  t: number | null;

  @IsOptional()
  @IsNumber()
  df: number | null;

  @IsNumber()
  p: number;

  @IsIn(TEST_METHODS)
  method: TestMethod;
}

/** The test of a pair, or why there is none. */
export class PairOutcome {
  @IsBoolean()
  defined: boolean;

  @NestedOrNull(() => PairTestView)
  value?: PairTestView;

  @IsOptional()
  @IsString()
  reason?: UndefinedReason;
}

/** Two treatments: second minus first. */
export class TreatmentPairView {
  @IsString()
  firstId: string;

  @IsString()
  secondId: string;

  @Nested(() => NumberOutcome)
  difference: Outcome<number>;

  @Nested(() => NumberOutcome)
  relative: Outcome<number>;

  @Nested(() => PairOutcome)
  test: Outcome<PairTest>;
}

/** A value at an age in days since sowing. */
export class AgedValueView {
  @IsNumber()
  age: number;

  @IsNumber()
  value: number;
}

/** One unit over time. */
export class UnitCurveView {
  @IsId()
  unitId: string;

  @IsString()
  groupId: string;

  @NestedList(() => AgedValueView)
  points: readonly AgedValueView[];
}

/** The mean of a treatment at an age. */
export class AgedMeanView {
  @IsNumber()
  age: number;

  @IsInt()
  n: number;

  @IsNumber()
  mean: number;

  @Nested(() => IntervalOutcome)
  interval: Outcome<Interval>;
}

/** A treatment's mean over time. */
export class TreatmentCurveView {
  @IsString()
  groupId: string;

  @NestedList(() => AgedMeanView)
  points: readonly AgedMeanView[];
}

/** A group by name. */
export class GroupNameView implements ComparedGroup {
  @IsString()
  id: string;

  @IsString()
  name: string;

  @IsBoolean()
  isControl: boolean;
}

/** What one factor does, over all levels of the others. */
export class FactorQuestionView implements FactorQuestion {
  @IsInt()
  factor: number;

  @IsString()
  name: string;

  @NestedList(() => GroupNameView)
  groups: readonly GroupNameView[];

  @NestedList(() => TreatmentPairView)
  pairs: readonly TreatmentPairView[];
}

/** Whether factors work together. */
export class TogetherView implements Together {
  @IsString({ each: true })
  factors: readonly string[];

  @Nested(() => TestOutcomeView)
  test: TestOutcome;
}

/** What became of the units of a group. */
export class FateView implements Fate {
  @IsString()
  groupId: string;

  @IsInt()
  looked: number;

  @IsInt()
  cameUp: number;

  @IsInt({ each: true })
  dead: readonly number[];

  @IsInt({ each: true })
  notUp: readonly number[];
}

/** Death and never coming up as outcomes. */
export class FatesView implements Fates {
  @NestedList(() => FateView)
  groups: readonly FateView[];

  @Nested(() => TestOutcomeView)
  dead: TestOutcome;

  @Nested(() => TestOutcomeView)
  up: TestOutcome;
}

/** What is answered first; by its kind it has a fate, a question with a pair, or a pair. */
export class LeadView {
  @IsIn(['fate', 'together', 'factor', 'pair'])
  kind: Lead['kind'];

  @IsOptional()
  @IsIn(['dead', 'up'])
  fate?: 'dead' | 'up';

  @IsOptional()
  @IsInt()
  question?: number;

  @IsOptional()
  @IsInt()
  pair?: number;
}

/** The comparison in words at the level asked for. */
export class WordsView implements ComparisonWords {
  @IsString()
  headline: string;

  @IsString({ each: true })
  others: readonly string[];

  @IsString()
  howSure: string;

  @IsString({ each: true })
  notKnown: readonly string[];

  /** The evidence as a class could write it down. */
  @IsString({ each: true })
  evidence: readonly string[];

  /** Why a pot counts once, and what else the sorting takes together. */
  @IsString()
  counting: string;
}

/** A comparison of treatments on one day, over units; values in the variable's base unit. */
export class ComparisonView implements Comparison {
  @IsId()
  variableId: string;

  /** Days on which any unit was read, in order. */
  @IsCalendarDay({ each: true })
  readDays: readonly string[];

  @IsCalendarDay()
  day: CalendarDay;

  @IsOptional()
  @IsNumber()
  age: number | null;

  @IsIn(NOT_UP_RULES)
  rule: NotUpRule;

  @IsIn(SUMMARIES)
  summary: Summary;

  /** How many readings are set aside, up to the day; they are left out unless they were asked for. */
  @IsInt()
  setAside: number;

  @NestedList(() => TreatmentGroupView)
  groups: readonly TreatmentGroupView[];

  /** All groups at once. */
  @Nested(() => TestOutcomeView)
  overall: TestOutcome;

  @IsOptional()
  @IsIn(['own', 'equal', 'with-mean'])
  spread: Comparison['spread'];

  @IsBoolean()
  hasBlocks: boolean;

  @NestedList(() => TreatmentPairView)
  pairs: readonly TreatmentPairView[];

  @IsOptional()
  @IsInt()
  mainPair: number | null;

  @NestedList(() => FactorQuestionView)
  questions: readonly FactorQuestionView[];

  @NestedOrNull(() => TogetherView)
  together: TogetherView | null;

  @Nested(() => FatesView)
  fates: FatesView;

  @NestedOrNull(() => LeadView)
  lead: Lead | null;

  @IsOptional()
  @IsString()
  controlId: string | null;

  /** The groups by name, the order of their colours. */
  @NestedList(() => GroupNameView)
  names: readonly ComparedGroup[];

  @NestedList(() => UnitCurveView)
  unitCurves: readonly UnitCurveView[];

  @NestedList(() => TreatmentCurveView)
  treatmentCurves: readonly TreatmentCurveView[];

  @Nested(() => WordsView)
  words: WordsView;

  /** Given with any part. */
  @NestedOrNull(() => AnalysedDesignView)
  design: AnalysedDesignView | null;

  @NestedOrNull(() => TreatmentsView)
  treatments: TreatmentsPart | null;

  @NestedOrNull(() => GrowthView)
  growth: GrowthPart | null;

  @NestedOrNull(() => EmergenceView)
  emergence: EmergencePart | null;

  @NestedOrNull(() => TeamsView)
  teams: TeamsPart | null;
}
