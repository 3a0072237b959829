import { SOWING_ITEMS, type SowingItem } from '@bright-sprout/core/shared';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsOptional,
  Max,
  MaxLength,
  Min,
} from 'class-validator';
import { IsCalendarDay, IsId, Trimmed, type Id } from '../shared/index.ts';

/** Takes the sowing of units back. */
export class TakeBackSowingRequest {
  /** The units that it is about; all of them when left out. */
  @IsOptional()
  @IsArray()
  @ArrayMinSize(1, { message: 'Choose at least one pot.' })
  @ArrayMaxSize(500)
  @IsId({ each: true })
  unitIds?: string[];
}

/** Marks units as sown on a day. */
export class SowingRequest extends TakeBackSowingRequest {
  @IsCalendarDay({ message: 'Give the day the seeds went in.' })
  sownOn: string;
}

/** Ticks one item for some units, or takes the tick away. */
export class TickRequest {
  @IsArray()
  @ArrayMinSize(1, { message: 'Choose at least one pot.' })
  @ArrayMaxSize(500)
  @IsId({ each: true })
  unitIds: string[];

  @IsIn(SOWING_ITEMS)
  item: SowingItem;

  @IsBoolean()
  isDone: boolean;
}

/** What was different when one unit was sown. */
export class SowingNoteRequest {
  @IsId()
  unitId: string;

  @Min(0, { message: 'Give 0 seeds or more.' })
  @Max(1000, { message: 'Give at most 1000 seeds.' })
  @IsInt({ message: 'Give a whole number of seeds.' })
  seedsSown: number;

  @Trimmed()
  @MaxLength(300, { message: 'Keep the note under 300 characters.' })
  note: string;
}

/** A tick as it is kept. */
export interface TickView {
  unitId: Id;
  item: SowingItem;
  by: string;
}
