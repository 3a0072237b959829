import 'reflect-metadata';
import { CROP_HABITS, type CropHabit } from '@bright-sprout/core/design';
import { Type } from 'class-transformer';
import { IsIn, IsInt, IsNumber, IsOptional, IsString, ValidateNested } from 'class-validator';

/** A range of whole days after sowing. */
export class DayRangeView {
  @IsInt()
  min: number;

  @IsInt()
  max: number;
}

/** A crop with its typical figures. */
export class CropView {
  @IsString()
  id: string;

  @IsString()
  commonName: string;

  @IsString()
  scientificName: string;

  @IsOptional()
  @ValidateNested()
  @Type(() => DayRangeView)
  daysToEmergence: DayRangeView | null;

  /** Typical, 0–100. */
  @IsOptional()
  @IsNumber()
  germinationPercent: number | null;

  @IsOptional()
  @IsNumber()
  sowingDepthMm: number | null;

  @IsOptional()
  @IsNumber()
  matureHeightMm: number | null;

  @IsOptional()
  @IsNumber()
  heightAtDay21Mm: number | null;

  @IsIn(CROP_HABITS)
  habit: CropHabit;

  @IsString()
  caution: string;
}
