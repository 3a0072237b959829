import 'reflect-metadata';
import type { UndefinedReason } from '@bright-sprout/core/shared';
import type { Interval } from '@bright-sprout/core/statistics';
import { Type } from 'class-transformer';
import { IsBoolean, IsInt, IsNumber, IsOptional, IsString, ValidateNested } from 'class-validator';

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

  @IsOptional()
  @ValidateNested()
  @Type(() => IntervalView)
  value?: IntervalView;

  @IsOptional()
  @IsString()
  reason?: UndefinedReason;
}

/** One sample described, in the variable's base unit. */
export class DescriptionView {
  @IsInt()
  n: number;

  @ValidateNested()
  @Type(() => NumberOutcome)
  mean: NumberOutcome;

  @ValidateNested()
  @Type(() => NumberOutcome)
  median: NumberOutcome;

  @ValidateNested()
  @Type(() => NumberOutcome)
  min: NumberOutcome;

  @ValidateNested()
  @Type(() => NumberOutcome)
  max: NumberOutcome;

  @ValidateNested()
  @Type(() => NumberOutcome)
  lowerQuartile: NumberOutcome;

  @ValidateNested()
  @Type(() => NumberOutcome)
  upperQuartile: NumberOutcome;

  @ValidateNested()
  @Type(() => NumberOutcome)
  sd: NumberOutcome;

  @ValidateNested()
  @Type(() => NumberOutcome)
  standardError: NumberOutcome;

  @ValidateNested()
  @Type(() => IntervalOutcome)
  interval: IntervalOutcome;
}
