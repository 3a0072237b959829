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
import { IsBoolean, IsIn, IsInt, IsNumber, IsOptional, Length, Max, MaxLength, Min } from 'class-validator';
import { Nested, NestedOrNull, Trimmed } from '../shared/index.ts';

/** A range of whole days after sowing. */
export class DayRangeView {
  @Min(1, { message: 'At least one day.' })
  @Max(400, { message: 'At most 400 days.' })
  @IsInt({ message: 'Give whole days.' })
  min: number;

  @Min(1, { message: 'At least one day.' })
  @Max(400, { message: 'At most 400 days.' })
  @IsInt({ message: 'Give whole days.' })
  max: number;
}

/** Lowest, best and highest temperature at which a crop comes up. */
export class TemperatureRangeView {
  /** Below it no warmth adds up; lower than the least at which it is advised to sow. */
  @IsOptional()
  @Min(-5, { message: 'From −5 °C.' })
  @Max(30, { message: 'Up to 30 °C.' })
  @IsNumber({}, { message: 'Give a temperature in °C.' })
  base?: number | null;

  @Min(-5, { message: 'From −5 °C.' })
  @Max(50, { message: 'Up to 50 °C.' })
  @IsNumber({}, { message: 'Give a temperature in °C.' })
  min: number;

  @Min(-5, { message: 'From −5 °C.' })
  @Max(50, { message: 'Up to 50 °C.' })
  @IsNumber({}, { message: 'Give a temperature in °C.' })
  best: number;

  @Min(-5, { message: 'From −5 °C.' })
  @Max(60, { message: 'Up to 60 °C.' })
  @IsNumber({}, { message: 'Give a temperature in °C.' })
  max: number;
}

/** The figures of a crop; `null` where there is none to give. */
export class CropRequest implements Omit<Crop, 'id'> {
  @Trimmed()
  @Length(1, 80, { message: 'Name the crop in up to 80 characters.' })
  commonName: string;

  @Trimmed()
  @MaxLength(80, { message: 'Keep it under 80 characters.' })
  scientificName: string;

  @Trimmed()
  @Length(1, 40, { message: 'Say what is sown: seed, piece, nut …' })
  propagule: string;

  @IsOptional()
  @IsIn(['epigeal', 'hypogeal'])
  emergence: Crop['emergence'];

  @IsOptional()
  @IsIn(SEED_SHAPES)
  seedShape?: SeedShape;

  @IsOptional()
  @Min(0.1, { message: 'From 0.1 mm.' })
  @Max(200, { message: 'Up to 200 mm.' })
  @IsNumber({}, { message: 'Give the length in mm.' })
  seedLengthMm: number | null;

  @IsOptional()
  @Min(0.05, { message: 'From 0.05 mm.' })
  @Max(200, { message: 'Up to 200 mm.' })
  @IsNumber({}, { message: 'Give the thickness in mm.' })
  seedThicknessMm: number | null;

  @IsOptional()
  @Min(0, { message: 'A depth is 0 or more.' })
  @Max(300, { message: 'Up to 300 mm.' })
  @IsNumber({}, { message: 'Give the depth in mm.' })
  sowingDepthMm: number | null;

  @IsIn(['either', 'needs_light', 'needs_dark'])
  lightToGerminate: Crop['lightToGerminate'];

  @NestedOrNull(() => DayRangeView)
  daysToEmergence: DayRangeView | null;

  @NestedOrNull(() => DayRangeView)
  daysToRadicle: DayRangeView | null;

  @NestedOrNull(() => DayRangeView)
  daysToHarvestOrFlower: DayRangeView | null;

  @IsOptional()
  @IsIn(HARVEST_STARTS)
  harvestFrom?: HarvestStart;

  @Nested(() => TemperatureRangeView)
  temperatureC: TemperatureRangeView;

  /** Typical, 0–100. */
  @IsOptional()
  @Min(0, { message: 'From 0 %.' })
  @Max(100, { message: 'Up to 100 %.' })
  @IsNumber({}, { message: 'Give a percentage.' })
  germinationPercent: number | null;

  @IsOptional()
  @Min(0, { message: 'From 0 mm.' })
  @Max(5000, { message: 'Up to 5 m.' })
  @IsNumber({}, { message: 'Give the spacing in mm.' })
  spacingMm: number | null;

  @IsOptional()
  @Min(1, { message: 'From 1 mm.' })
  @Max(50_000, { message: 'Up to 50 m.' })
  @IsNumber({}, { message: 'Give the height in mm.' })
  matureHeightMm: number | null;

  @IsOptional()
  @Min(1, { message: 'From 1 mm.' })
  @Max(3000, { message: 'Up to 3 m.' })
  @IsNumber({}, { message: 'Give the height in mm.' })
  heightAtDay21Mm: number | null;

  @IsOptional()
  @IsBoolean()
  isOftenTreated?: boolean;

  @IsIn(CROP_HABITS)
  habit: CropHabit;

  @Trimmed()
  @MaxLength(200, { message: 'Keep it under 200 characters.' })
  caution: string;
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
