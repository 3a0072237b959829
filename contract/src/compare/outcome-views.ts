import 'reflect-metadata';
import type { UndefinedReason } from '@bright-sprout/core/shared';
import type { Interval } from '@bright-sprout/core/statistics';
import { IsBoolean, IsInt, IsNumber, IsOptional, IsString } from 'class-validator';
import { Nested, NestedOrNull } from '../shared/index.ts';

/** A closed interval. */
export class IntervalView implements Interval {
  @IsNumber()
  low: number;

  @IsNumber()
  high: number;
}

/** A number, or the reason why there is none. */
export class NumberOutcome {
  @IsBoolean()
  defined: boolean;

  @IsOptional()
  @IsNumber()
  value?: number;

  @IsOptional()
  @IsString()
  reason?: UndefinedReason;
}

/** An interval, or the reason why there is none. */
export class IntervalOutcome {
  @IsBoolean()
  defined: boolean;

  @NestedOrNull(() => IntervalView)
  value?: IntervalView;

  @IsOptional()
  @IsString()
  reason?: UndefinedReason;
}

/** One sample described, in the variable's base unit. */
export class DescriptionView {
  @IsInt()
  n: number;

  @Nested(() => NumberOutcome)
  mean: NumberOutcome;

  @Nested(() => NumberOutcome)
  median: NumberOutcome;

  @Nested(() => NumberOutcome)
  min: NumberOutcome;

  @Nested(() => NumberOutcome)
  max: NumberOutcome;

  @Nested(() => NumberOutcome)
  lowerQuartile: NumberOutcome;

  @Nested(() => NumberOutcome)
  upperQuartile: NumberOutcome;

  @Nested(() => NumberOutcome)
  sd: NumberOutcome;

  @Nested(() => NumberOutcome)
  standardError: NumberOutcome;

  @Nested(() => IntervalOutcome)
  interval: IntervalOutcome;
}
