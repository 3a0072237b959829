import 'reflect-metadata';
import {
  type ComparedGroup,
  type Comparison,
  type EmergencePart,
  type GrowthPart,
  type LeftOutReason,
  NOT_UP_RULES,
  type NotUpRule,
  type OverallTest,
  SUMMARIES,
  type Summary,
  type TeamsPart,
  type TreatmentsPart,
} from '@bright-sprout/core/comparison';
import type { ComparisonWords } from '@bright-sprout/core/words';
import type { CalendarDay, Outcome, UndefinedReason } from '@bright-sprout/core/shared';
import type { Description, Interval, PairDifference } from '@bright-sprout/core/statistics';
import { IsBoolean, IsIn, IsInt, IsNumber, IsOptional, IsString } from 'class-validator';
import { IsCalendarDay, IsId, Nested, NestedList, NestedOrNull } from '../shared/index.ts';
import { TeamsView } from './class-views.ts';
import { AnalysedDesignView } from './design-views.ts';
import { EmergenceView } from './emergence-views.ts';
import { GrowthView } from './growth-views.ts';
import { DescriptionView, IntervalOutcome, IntervalView, NumberOutcome } from './outcome-views.ts';
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

  @IsIn(['not_up', 'up_without_value', 'dead', 'removed', 'not_read', 'too_few_values'])
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

/** Figures of the test over all treatments: t and df (two), or F, df1 and df2 (more). */
export class OverallResultView {
  @IsOptional()
  @IsNumber()
  difference?: number;

  @NestedOrNull(() => IntervalView)
  interval?: IntervalView;

  @IsOptional()
  @IsNumber()
  t?: number;

  @IsOptional()
  @IsNumber()
  df?: number;

  @IsOptional()
  @IsNumber()
  f?: number;

  @IsOptional()
  @IsNumber()
  df1?: number;

  @IsOptional()
  @IsNumber()
  df2?: number;

  @IsNumber()
  p: number;
}

/** The test over all treatments, or why there is none. */
export class OverallOutcome {
  @IsBoolean()
  defined: boolean;

  @NestedOrNull(() => OverallResultView)
  value?: OverallResultView;

  @IsOptional()
  @IsString()
  reason?: UndefinedReason;
}

/** Which test was made over all treatments. */
export class OverallTestView {
  @IsIn(['welch-t', 'welch-anova', 'none'])
  kind: OverallTest['kind'];

  @NestedOrNull(() => OverallOutcome)
  result?: OverallOutcome;

  @IsOptional()
  @IsString()
  reason?: UndefinedReason;
}

/** Games–Howell for one pair. */
export class PairDifferenceView implements PairDifference {
  @IsNumber()
  difference: number;

  @Nested(() => IntervalView)
  interval: IntervalView;

  @IsNumber()
  q: number;

  @IsNumber()
  df: number;

  @IsNumber()
  p: number;
}

/** The test of a pair, or why there is none. */
export class PairOutcome {
  @IsBoolean()
  defined: boolean;

  @NestedOrNull(() => PairDifferenceView)
  value?: PairDifferenceView;

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
  test: Outcome<PairDifference>;
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

  @Nested(() => OverallTestView)
  overall: OverallTest;

  @NestedList(() => TreatmentPairView)
  pairs: readonly TreatmentPairView[];

  @IsOptional()
  @IsInt()
  mainPair: number | null;

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
