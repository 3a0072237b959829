import 'reflect-metadata';
import { type Sensor, SENSORS } from '@bright-sprout/core/simulate';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
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
  json,
  route,
  Trimmed,
  type Day,
  type Id,
  type Instant,
} from '../shared/index.ts';

/** What people do to plants, or find in their soil. */
export const CARE_KINDS = [
  'watered',
  'turned',
  'moved',
  'uncovered',
  'thinned',
  'potted_on',
  'treated',
  'ph',
  'soil',
  'note',
] as const;
export type CareKind = (typeof CARE_KINDS)[number];

/** Soil by touch, the driest first; a care event of kind `soil` has the place in this list from 0. */
export const SOIL_STATES = ['dry', 'moist', 'soggy'] as const;

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

  /** mL of water for each unit, a pH, or a place in {@link SOIL_STATES}. */
  @IsOptional()
  @Min(0, { message: 'Give an amount of 0 or more.' })
  @Max(10_000, { message: 'Give at most 10 000.' })
  @IsNumber({}, { message: 'Give a number.' })
  amount: number | null;

  /** Which plants went, into what, with what. */
  @Trimmed()
  @MaxLength(500, { message: 'Keep it under 500 characters.' })
  note: string;
}

/** A care event as it is kept. */
export interface CareView extends CareRequest {
  id: Id;
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

/** The most values that a device sends at once. */
export const MOST_DEVICE_SAMPLES = 250;

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

/** Care of plants, and loggers. */
export const careRoutes = {
  care: route({
    method: 'GET',
    path: '/experiments/:experimentId/care',
    summary: 'Everything done to the plants in the order it was noted, what was taken back too',
    access: 'owner',
    answer: json<CareView[]>(),
  }),
  keepCare: route({
    method: 'PUT',
    path: '/experiments/:experimentId/care/:careId',
    summary: 'Note something done to plants under an id made on the device',
    access: 'owner',
    body: CareRequest,
    answer: json<CareView>(),
  }),
  undoCare: route({
    method: 'PUT',
    path: '/experiments/:experimentId/care/:careId/undone',
    summary: 'Take a care event back, or put it there again',
    access: 'owner',
    body: UndoCareRequest,
    answer: json<CareView>(),
  }),
  loggerKey: route({
    method: 'POST',
    path: '/experiments/:experimentId/logger',
    summary: 'A new key for a logger; the old one no longer works',
    access: 'owner',
    answer: json<LoggerKeyView>(),
  }),
  sensorDays: route({
    method: 'GET',
    path: '/experiments/:experimentId/logger-days',
    summary: 'What loggers measured, by day',
    access: 'owner',
    answer: json<SensorDayView[]>(),
  }),
  keepSamples: route({
    method: 'PUT',
    path: '/experiments/:experimentId/logger-samples',
    summary: 'Keep values of a logger, from its file',
    access: 'owner',
    body: SamplesRequest,
    maxBytes: 524_288,
  }),
  streamSamples: route({
    method: 'POST',
    path: '/logger-samples',
    summary: 'Values from a logger, which shows its key',
    access: 'anyone',
    body: DeviceSamplesRequest,
  }),
} as const;
