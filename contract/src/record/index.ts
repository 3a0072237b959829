import { READING_STATES, type ReadingState } from '@bright-sprout/core/shared';
import {
  IsBoolean,
  IsIn,
  IsISO8601,
  IsNumber,
  IsOptional,
  IsPositive,
  IsString,
  IsUUID,
  Max,
  MaxLength,
  Min,
} from 'class-validator';
import { IsCalendarDay, listRoute, route, Trimmed } from '../shared/index.ts';

/** A reading to keep. It is only ever added; sending it twice stores it once. */
export class ReadingRequest {
  @IsUUID()
  unitId: string;

  @IsUUID()
  variableId: string;

  @IsCalendarDay({ message: 'Give the day of the reading.' })
  observedOn: string;

  @IsIn(READING_STATES)
  state: ReadingState;

  /** In the base unit: mm for lengths. Only with the state `up`. */
  @IsOptional()
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
  @IsUUID()
  supersedesId?: string | null;
}

/** A reading as it is kept. */
export class ReadingView {
  @IsUUID()
  id: string;

  @IsUUID()
  unitId: string;

  @IsUUID()
  variableId: string;

  @IsCalendarDay()
  observedOn: string;

  @IsIn(READING_STATES)
  state: ReadingState;

  @IsOptional()
  @IsNumber()
  value: number | null;

  @IsString()
  entered: string;

  @IsString()
  unitOfMeasure: string;

  @IsNumber()
  precision: number;

  @IsString()
  observer: string;

  @IsISO8601()
  recordedAt: string;

  @IsOptional()
  @IsUUID()
  supersedesId: string | null;

  /** False once another reading corrects this one. */
  @IsBoolean()
  counts: boolean;
}

/** Readings. */
export const recordRoutes = {
  readings: listRoute({
    method: 'GET',
    path: '/experiments/:experimentId/readings',
    summary: 'Every reading in the order they were made, corrected ones too',
    access: 'owner',
    answer: ReadingView,
  }),
  keepReading: route({
    method: 'PUT',
    path: '/experiments/:experimentId/readings/:readingId',
    summary: 'Keep a reading under an id made on the device',
    access: 'owner',
    body: ReadingRequest,
    answer: ReadingView,
  }),
} as const;
