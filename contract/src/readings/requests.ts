import { READING_STATES, type ReadingState } from '@bright-sprout/core/shared';
import { IsBoolean, IsOptional, IsPositive, Max } from 'class-validator';
import {
  type Day,
  type Id,
  type Instant,
  IsCalendarDay,
  IsId,
  Note,
  OneOf,
  OnlyWith,
  Quantity,
  ShortText,
  Spelled,
} from '../shared/index.ts';

/** States as tablets spell them that have not loaded this version yet. */
const OLDER_STATES = { up: 'emerged', not_up: 'not_emerged' } as const;

/** A reading to keep. It is only ever added; sending it twice stores it once. */
export class ReadingRequest {
  @IsId() unitId: string;
  @IsId() variableId: string;
  @IsCalendarDay('the day of the reading') observedOn: string;
  @OneOf(READING_STATES) @Spelled(OLDER_STATES) state: ReadingState;

  /** In the base unit: mm for lengths. */
  @IsOptional()
  @Quantity(-1e9, 1e9)
  @OnlyWith('state', 'emerged', 'Give a value, or a state in its place, not both.')
  value?: number | null;

  /** The text as it was entered. */
  @Note(60) entered: string;

  /** Unit that it was read in. */
  @Note(20) unitOfMeasure: string;

  /** Smallest step that was read, in that unit. */
  @IsPositive() @Max(1000) precision: number;

  /** The reading that this one corrects. */
  @IsOptional() @IsId() supersedesId?: string | null;

  /** True when the reader looked again before keeping it. */
  @IsOptional() @IsBoolean() isReread?: boolean;
}

/** Leaves a reading out of comparisons, with a reason. */
export class SetAsideRequest {
  @ShortText(200, 'Say why') reason: string;
}

/** Closes a day, or opens it again. */
export class CloseDayRequest {
  @IsBoolean() isClosed: boolean;
}

/** A reading as it is kept. */
export interface ReadingView {
  id: Id;
  unitId: Id;
  variableId: Id;
  observedOn: Day;
  state: ReadingState;
  value: number | null;
  entered: string;
  unitOfMeasure: string;
  precision: number;
  observer: string;
  recordedAt: Instant;
  supersedesId: Id | null;
  isReread: boolean;
  /** False once another reading corrects this one, or it was set aside. */
  counts: boolean;
  /** Why it is set aside; `null` when it is not. */
  setAside: string | null;
}
