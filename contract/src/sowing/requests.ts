import { SOWING_ITEMS, type SowingItem } from '@bright-sprout/core/shared';
import { IsBoolean, IsOptional } from 'class-validator';
import { type Id, Ids, IsCalendarDay, IsId, Note, OneOf, Whole } from '../shared/index.ts';

/** Takes the sowing of units back. */
export class TakeBackSowingRequest {
  /** The units that it is about; all of them when left out. */
  @IsOptional() @Ids(1, 500, 'pots') unitIds?: string[];
}

/** Marks units as sown on a day. */
export class SowingRequest extends TakeBackSowingRequest {
  @IsCalendarDay('the day the seeds went in') sownOn: string;
}

/** Ticks one item for some units, or takes the tick away. */
export class TickRequest {
  @Ids(1, 500, 'pots') unitIds: string[];

  @OneOf(SOWING_ITEMS) item: SowingItem;
  @IsBoolean() isDone: boolean;
}

/** What was different when one unit was sown. */
export class SowingNoteRequest {
  @IsId() unitId: string;
  @Whole(0, 1000, 'seeds') seedsSown: number;
  @Note(300) note: string;
}

/** A tick as it is kept. */
export interface TickView {
  unitId: Id;
  item: SowingItem;
  by: string;
}
