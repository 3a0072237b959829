import 'reflect-metadata';
import {
  type Crop,
  CROP_HABITS,
  type CropHabit,
  HARVEST_STARTS,
  type HarvestStart,
  type MeasuredSpread,
  SEED_SHAPES,
  type SeedShape,
} from '@bright-sprout/core/design';
import { IsBoolean, IsOptional, Length } from 'class-validator';
import { Nested, NestedOrNull, Note, OneOf, Quantity, ShortText, Trimmed, Whole } from '../shared/index.ts';

/** A range of whole days after sowing. */
export class DayRangeView {
  @Whole(1, 400, 'days') min: number;
  @Whole(1, 400, 'days') max: number;
}

/** Lowest, best and highest temperature at which a crop comes up. */
export class TemperatureRangeView {
  /** Below it no warmth adds up; lower than the least at which it is advised to sow. */
  @IsOptional() @Quantity(-5, 30, 'a temperature in °C') base?: number | null;

  @Quantity(-5, 50, 'a temperature in °C') min: number;
  @Quantity(-5, 50, 'a temperature in °C') best: number;
  @Quantity(-5, 60, 'a temperature in °C') max: number;
}

/** The figures of a crop; `null` where there is none to give. */
export class CropRequest implements Omit<Crop, 'id'> {
  @ShortText(80, 'Name the crop') commonName: string;
  @Note(80) scientificName: string;
  @Trimmed() @Length(1, 40, { message: 'Say what is sown: seed, piece, nut …' }) propagule: string;
  @IsOptional() @OneOf(['epigeal', 'hypogeal']) emergence: Crop['emergence'];
  @IsOptional() @OneOf(SEED_SHAPES) seedShape?: SeedShape;
  @IsOptional() @Quantity(0.1, 200, 'the length in mm') seedLengthMm: number | null;
  @IsOptional() @Quantity(0.05, 200, 'the thickness in mm') seedThicknessMm: number | null;
  @IsOptional() @Quantity(0, 300, 'the depth in mm') sowingDepthMm: number | null;
  @OneOf(['either', 'needs_light', 'needs_dark']) lightToGerminate: Crop['lightToGerminate'];
  @NestedOrNull(() => DayRangeView) daysToEmergence: DayRangeView | null;
  @NestedOrNull(() => DayRangeView) daysToRadicle: DayRangeView | null;
  @NestedOrNull(() => DayRangeView) daysToHarvestOrFlower: DayRangeView | null;
  @IsOptional() @OneOf(HARVEST_STARTS) harvestFrom?: HarvestStart;
  @Nested(() => TemperatureRangeView) temperatureC: TemperatureRangeView;

  /** Typical, 0–100. */
  @IsOptional() @Quantity(0, 100, 'a percentage') germinationPercent: number | null;

  @IsOptional() @Quantity(0, 5000, 'the spacing in mm') spacingMm: number | null;
  @IsOptional() @Quantity(1, 50_000, 'the height in mm') matureHeightMm: number | null;
  @IsOptional() @Quantity(1, 3000, 'the height in mm') heightAtDay21Mm: number | null;
  @IsOptional() @IsBoolean() isOftenTreated?: boolean;
  @OneOf(CROP_HABITS) habit: CropHabit;
  @Note(200) caution: string;
}

/** How much pots that were treated alike differed in the teacher's own finished experiments. */
export interface MeasuredSpreadView extends MeasuredSpread {
  /** Coefficient of variation of height, 0–1. */
  cv: number;
  pots: number;
}

/** A crop with its typical figures. */
export interface CropView extends CropRequest {
  id: string;
  /** True for a crop that the teacher added. */
  isOwn: boolean;
  measuredSpread: MeasuredSpreadView | null;
}
