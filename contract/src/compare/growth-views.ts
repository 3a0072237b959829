import type { GrowthPart } from '@bright-sprout/core/comparison';
import { CURVE_KINDS, type CurveKind } from '@bright-sprout/core/growth';
import { IsIn, IsInt, IsNumber, IsOptional, IsString } from 'class-validator';
import { IsId, Nested, NestedList, OutcomeBase } from '../shared/index.ts';
import { DescriptionView, NumberOutcome } from './outcome-views.ts';

/** Growth between two readings. */
export class StepView {
  @IsNumber()
  from: number;

  @IsNumber()
  to: number;

  @IsNumber()
  change: number;

  @IsNumber()
  perDay: number;

  @Nested(() => NumberOutcome)
  relative: NumberOutcome;
}

/** A parameter with its standard error. */
export class EstimateView {
  @IsNumber()
  value: number;

  @IsNumber()
  error: number;
}

/** A fitted curve: a + b·t, or end L, steepness k and day of fastest growth m. */
export class FittedCurveView {
  @IsIn(CURVE_KINDS)
  kind: CurveKind;

  @IsInt()
  n: number;

  @NestedList(() => EstimateView)
  parameters: EstimateView[];

  @IsNumber()
  residualError: number;

  @IsNumber()
  aicc: number;

  @IsNumber()
  fastest: number;
}

/** A fitted curve, or the reason why there is none. */
export class FitOutcome extends OutcomeBase {
  @IsOptional()
  @Nested(() => FittedCurveView)
  value?: FittedCurveView;
}

/** A curve that was wanted. */
export class CurveFitView {
  @IsIn(CURVE_KINDS)
  kind: CurveKind;

  @Nested(() => FitOutcome)
  fit: FitOutcome;
}

/** How one unit grew. */
export class UnitGrowthView {
  @IsId()
  unitId: string;

  @IsString()
  groupId: string;

  @NestedList(() => StepView)
  steps: StepView[];

  @Nested(() => NumberOutcome)
  perDay: NumberOutcome;

  @Nested(() => NumberOutcome)
  relative: NumberOutcome;

  @Nested(() => NumberOutcome)
  area: NumberOutcome;

  @Nested(() => FitOutcome)
  fit: FitOutcome;
}

/** How the units of a group grew. */
export class GroupGrowthView {
  @IsString()
  groupId: string;

  @Nested(() => DescriptionView)
  perDay: DescriptionView;

  @Nested(() => DescriptionView)
  relative: DescriptionView;

  @Nested(() => DescriptionView)
  area: DescriptionView;

  @NestedList(() => CurveFitView)
  fits: CurveFitView[];

  @IsOptional()
  @IsInt()
  best: number | null;

  @IsOptional()
  @IsNumber()
  largest: number | null;

  @Nested(() => DescriptionView)
  end: DescriptionView;

  @Nested(() => DescriptionView)
  fastestDay: DescriptionView;

  @Nested(() => DescriptionView)
  fastest: DescriptionView;
}

/** When a group reached a stage. */
export class MilestoneGroupView {
  @IsString()
  groupId: string;

  @IsInt()
  reached: number;

  @IsInt()
  of: number;

  @Nested(() => NumberOutcome)
  median: NumberOutcome;
}

/** A stage and when it was reached. */
export class MilestoneView {
  @IsString()
  name: string;

  @NestedList(() => MilestoneGroupView)
  groups: MilestoneGroupView[];
}

/** Growth over time, up to the day compared. */
export class GrowthView {
  @NestedList(() => UnitGrowthView)
  units: GrowthPart['units'];

  @NestedList(() => GroupGrowthView)
  groups: GrowthPart['groups'];

  @NestedList(() => MilestoneView)
  milestones: GrowthPart['milestones'];
}
