import { READING_STATES, type ReadingState } from '@bright-sprout/core/shared';
import {
  IsBoolean,
  IsIn,
  IsNumber,
  IsOptional,
  IsPositive,
  Length,
  Max,
  MaxLength,
  Min,
} from 'class-validator';
import {
  IsCalendarDay,
  IsId,
  OnlyWith,
  Spelled,
  Trimmed,
  type Day,
  type Id,
  type Instant,
} from '../shared/index.ts';

/** States as tablets spell them that have not loaded this version yet. */
const OLDER_STATES = { up: 'emerged', not_up: 'not_emerged' } as const;

/** A reading to keep. It is only ever added; sending it twice stores it once. */
export class ReadingRequest {
  @IsId()
  unitId: string;

  @IsId()
  variableId: string;

  @IsCalendarDay({ message: 'Give the day of the reading.' })
  observedOn: string;

  @Spelled(OLDER_STATES)
  @IsIn(READING_STATES)
  state: ReadingState;

  /** In the base unit: mm for lengths. */
  @IsOptional()
  @OnlyWith('state', 'emerged', 'Give a value, or a state in its place, not both.')
  @IsNumber()
  @Min(-1e9)
  @Max(1e9)
  value?: number | null;

  /** The text as it was entered. */
  @Trimmed()
  @MaxLength(60)
  entered: string;

  /** Unit that it was read in. */
  @Trimmed()
  @MaxLength(20)
  unitOfMeasure: string;

  /** Smallest step that was read, in that unit. */
  @IsPositive()
  @Max(1000)
  precision: number;

  /** The reading that this one corrects. */
  @IsOptional()
  @IsId()
  supersedesId?: string | null;

  /** True when the reader looked again before keeping it. */
  @IsOptional()
  @IsBoolean()
  isReread?: boolean;
}

/** Leaves a reading out of comparisons, with a reason. */
export class SetAsideRequest {
  @Trimmed()
  @Length(1, 200, { message: 'Say why in up to 200 characters.' })
  reason: string;
}

/** Closes a day, or opens it again. */
export class CloseDayRequest {
  @IsBoolean()
  isClosed: boolean;
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
