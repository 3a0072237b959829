import 'reflect-metadata';
import type { SeedLot } from '@bright-sprout/core/design';
import type { CalendarDay } from '@bright-sprout/core/shared';
import { IsOptional, Length } from 'class-validator';
import { IsCalendarDay, NestedOrNull, Parts, Quantity, ShortText, Trimmed, Whole } from '../shared/index.ts';
import { DayRangeView } from './crop.ts';

/** So many seeds of a lot sown as a test, and so many up. */
export class GerminationTestPart {
  @IsCalendarDay('a day that exists') on: CalendarDay;
  @Whole(1, 10_000, 'seeds') sown: number;
  @Whole(0, 10_000, 'seeds') up: number;
}

/** One packet and what it says; `null` where it says nothing. */
export class SeedLotRequest {
  @Trimmed() @Length(1, 40, { message: 'Choose a crop.' }) cropId: string;
  @ShortText(60, 'Name the packet') name: string;
  @IsOptional() @Quantity(0, 100, 'a percentage') germinationPercent: number | null;
  @IsOptional() @Quantity(0, 300, 'the depth in mm') depthMm: number | null;
  @NestedOrNull(() => DayRangeView) daysToEmergence: DayRangeView | null;
  @IsOptional() @Quantity(0, 5000, 'the spacing in mm') spacingMm: number | null;
  @IsOptional() @Whole(1, 100_000, 'seeds') seedsPerPacket: number | null;
  @IsOptional() @IsCalendarDay('a day that exists') packedOn: CalendarDay | null;
  @Parts(() => GerminationTestPart, 0, 40, 'tests') tests: GerminationTestPart[];
}

/** A packet with the tests that the class made of it. */
export interface SeedLotView extends SeedLot {
  tests: GerminationTestPart[];
  cropName: string;
  /** Counts that packet tests among the experiments gave; they are part of its rate, too. */
  experimentTests: GerminationTestPart[];
}
