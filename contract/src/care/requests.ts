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
import { IsBoolean, IsInt, IsOptional, Length, Min } from 'class-validator';
import {
  type Day,
  type Id,
  Ids,
  type Instant,
  IsCalendarDay,
  IsId,
  IsInstant,
  Note,
  OneOf,
  Parts,
  Quantity,
} from '../shared/index.ts';

/** Where a pot was moved to. */
export class MovePart implements UnitMove {
  @IsId() unitId: string;
  @IsId() containerId: string;
  @Min(1, { message: 'Choose a place.' }) @IsInt() row: number;
  @Min(1, { message: 'Choose a place.' }) @IsInt() column: number;
}

/** Something done to units on a day. */
export class CareRequest {
  @OneOf(CARE_KINDS, 'what was done') kind: CareKind;
  @IsCalendarDay('the day it was done') happenedOn: string;

  /** The units it was done to; all of them when `null`. */
  @IsOptional() @Ids(1, 500, 'pots') unitIds: string[] | null;

  /** mL of water for each unit, plants thinned out of each, a pH, or a place among the soil states. */
  @IsOptional() @Quantity(0, 10_000, 'an amount') amount: number | null;

  /** Why nothing came up; of kind `cause` only. */
  @IsOptional() @OneOf(NO_SHOW_REASONS, 'a reason') reason?: NoShowReason | null;

  /** Where the pots stand from that day on; of kind `moved` only. */
  @IsOptional() @Parts(() => MovePart, 1, 500, 'entries') moves?: MovePart[];

  /** Which plants went, into what, with what. */
  @Note(500) note: string;
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
  @IsBoolean() isUndone: boolean;
}

/** One value of a logger. */
export class SamplePart {
  @IsInstant() sampledAt: string;
  @OneOf(SENSORS) sensor: Sensor;
  @Quantity(-100, 1e6) value: number;
}

/** Values of a logger; sent twice they are stored once. */
export class SamplesRequest {
  @Parts(() => SamplePart, 1, 5000, 'values') samples: SamplePart[];
}

/** The same from the device itself, which shows its key. */
export class DeviceSamplesRequest {
  @Parts(() => SamplePart, 1, MOST_DEVICE_SAMPLES, 'values') samples: SamplePart[];
  @Length(20, 80, { message: 'Give the key of the logger.' }) key: string;
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
