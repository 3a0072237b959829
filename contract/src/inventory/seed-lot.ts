import 'reflect-metadata';
import type { SeedLot } from '@bright-sprout/core/design';
import type { CalendarDay } from '@bright-sprout/core/shared';
import { ArrayMaxSize, IsInt, IsNumber, IsOptional, Length, Max, Min } from 'class-validator';
import { IsCalendarDay, NestedList, NestedOrNull, Trimmed } from '../shared/index.ts';
import { DayRangeView } from './crop.ts';

/** So many seeds of a lot sown as a test, and so many up. */
export class GerminationTestPart {
  @IsCalendarDay({ message: 'Give a day that exists.' })
  on: CalendarDay;

  @Min(1, { message: 'At least one seed.' })
  @Max(10_000, { message: 'At most 10 000 seeds.' })
  @IsInt({ message: 'Give a whole number of seeds.' })
  sown: number;

  @Min(0, { message: 'From 0.' })
  @Max(10_000, { message: 'At most 10 000 seeds.' })
  @IsInt({ message: 'Give a whole number of seeds.' })
  up: number;
}

/** One packet and what it says; `null` where it says nothing. */
export class SeedLotRequest {
  @Trimmed()
  @Length(1, 40, { message: 'Choose a crop.' })
  cropId: string;

  @Trimmed()
  @Length(1, 60, { message: 'Name the packet in up to 60 characters.' })
  name: string;

  @IsOptional()
  @Min(0, { message: 'From 0 %.' })
  @Max(100, { message: 'Up to 100 %.' })
  @IsNumber({}, { message: 'Give a percentage.' })
  germinationPercent: number | null;

  @IsOptional()
  @Min(0, { message: 'A depth is 0 or more.' })
  @Max(300, { message: 'Up to 300 mm.' })
  @IsNumber({}, { message: 'Give the depth in mm.' })
  depthMm: number | null;

  @NestedOrNull(() => DayRangeView)
  daysToEmergence: DayRangeView | null;

  @IsOptional()
  @Min(0, { message: 'From 0 mm.' })
  @Max(5000, { message: 'Up to 5 m.' })
  @IsNumber({}, { message: 'Give the spacing in mm.' })
  spacingMm: number | null;

  @IsOptional()
  @Min(1, { message: 'At least one seed.' })
  @Max(100_000, { message: 'At most 100 000 seeds.' })
  @IsInt({ message: 'Give a whole number of seeds.' })
  seedsPerPacket: number | null;

  @IsOptional()
  @IsCalendarDay({ message: 'Give a day that exists.' })
  packedOn: CalendarDay | null;

  @ArrayMaxSize(40, { message: 'At most 40 tests.' })
  @NestedList(() => GerminationTestPart)
  tests: GerminationTestPart[];
}

/** A packet with the tests that the class made of it. */
export interface SeedLotView extends SeedLot {
  tests: GerminationTestPart[];
  cropName: string;
  /** Counts that packet tests among the experiments gave; they are part of its rate, too. */
  experimentTests: GerminationTestPart[];
}
