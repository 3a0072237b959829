import {
  CARE_KINDS,
  type CareKind,
  MOST_DEVICE_SAMPLES,
  NO_SHOW_REASONS,
  type NoShowReason,
} from '@bright-sprout/core/shared';
import type { UnitMove } from '@bright-sprout/core/design';
import 'reflect-metadata';
import { type Sensor, SENSORS } from '@bright-sprout/core/simulate';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  Length,
  Max,
  MaxLength,
  Min,
} from 'class-validator';
import {
  IsCalendarDay,
  IsId,
  IsInstant,
  NestedList,
  Trimmed,
  type Day,
  type Id,
  type Instant,
} from '../shared/index.ts';

/** Where a pot was moved to. */
export class MovePart implements UnitMove {
  @IsId()
  unitId: string;

  @IsId()
  containerId: string;

  @Min(1, { message: 'Choose a place.' })
  @IsInt()
  row: number;

  @Min(1, { message: 'Choose a place.' })
  @IsInt()
  column: number;
}

/** Something done to units on a day. */
export class CareRequest {
  @IsIn(CARE_KINDS, { message: 'Choose what was done.' })
  kind: CareKind;

  @IsCalendarDay({ message: 'Give the day it was done.' })
  happenedOn: string;

  /** The units it was done to; all of them when `null`. */
  @IsOptional()
  @IsArray()
  @ArrayMinSize(1, { message: 'Choose at least one pot.' })
  @ArrayMaxSize(500)
  @IsId({ each: true })
  unitIds: string[] | null;

  /** mL of water for each unit, plants thinned out of each, a pH, or a place among the soil states. */
  @IsOptional()
  @Min(0, { message: 'Give an amount of 0 or more.' })
  @Max(10_000, { message: 'Give at most 10 000.' })
  @IsNumber({}, { message: 'Give a number.' })
  amount: number | null;

  /** Why nothing came up; of kind `cause` only. */
  @IsOptional()
  @IsIn(NO_SHOW_REASONS, { message: 'Choose a reason.' })
  reason?: NoShowReason | null;

  /** Where the pots stand from that day on; of kind `moved` only. */
  @IsOptional()
  @ArrayMinSize(1)
  @ArrayMaxSize(500)
  @NestedList(() => MovePart)
  moves?: MovePart[];

  /** Which plants went, into what, with what. */
  @Trimmed()
  @MaxLength(500, { message: 'Keep it under 500 characters.' })
  note: string;
}

/** A care event as it is kept. */
export interface CareView extends CareRequest {
  id: Id;
  reason: NoShowReason | null;
  moves: MovePart[];
  observer: string;
  recordedAt: Instant;
  isUndone: boolean;
}

/** Takes a care event back, or puts it there again. */
export class UndoCareRequest {
  @IsBoolean()
  isUndone: boolean;
}

/** One value of a logger. */
export class SamplePart {
  @IsInstant()
  sampledAt: string;

  @IsIn(SENSORS)
  sensor: Sensor;

  @Min(-100)
  @Max(1e6)
  @IsNumber({}, { message: 'Give a number.' })
  value: number;
}

/** Values of a logger; sent twice they are stored once. */
export class SamplesRequest {
  @ArrayMinSize(1, { message: 'Send at least one value.' })
  @ArrayMaxSize(5000, { message: 'Send at most 5000 values at a time.' })
  @NestedList(() => SamplePart)
  samples: SamplePart[];
}

/** The same from the device itself, which shows its key. */
export class DeviceSamplesRequest {
  @ArrayMinSize(1, { message: 'Send at least one value.' })
  @ArrayMaxSize(MOST_DEVICE_SAMPLES, { message: `Send at most ${MOST_DEVICE_SAMPLES} values at a time.` })
  @NestedList(() => SamplePart)
  samples: SamplePart[];

  @Length(20, 80, { message: 'Give the key of the logger.' })
  key: string;
}

/** The key that a logger sends with; it is shown once. */
export interface LoggerKeyView {
  key: string;
}

/** One sensor on one day of the class. */
export interface SensorDayView {
  sensor: Sensor;
  day: Day;
  mean: number;
  least: number;
  most: number;
}
