import 'reflect-metadata';
import { READING_LEVELS, type ReadingLevel } from '@bright-sprout/core/words';
import { CROP_HABITS, type CropHabit } from '@bright-sprout/core/design';
import { READING_STATES, type ReadingState } from '@bright-sprout/core/shared';
import { Type } from 'class-transformer';
import {
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  IsUUID,
  Length,
  ValidateNested,
} from 'class-validator';
import { StudentPart } from '../classes/index.ts';
import { VariableView } from '../plan/index.ts';
import { ReadingRequest, ReadingView } from '../record/index.ts';
import { IsCalendarDay, listRoute, route, Trimmed } from '../shared/index.ts';

/** The code on the board. */
export class JoinRequest {
  @Trimmed()
  @Length(4, 12, { message: 'Type the code on the board.' })
  code: string;
}

/** A tile was chosen. */
export class TileRequest {
  @IsUUID()
  studentId: string;
}

/** A class as a device that joined it sees it. */
export class DoorView {
  @IsString()
  className: string;

  @IsIn(READING_LEVELS)
  readingLevel: ReadingLevel;

  @IsCalendarDay()
  today: string;

  @IsArray()
  @ValidateNested({ each: true })
  @Type(() => StudentPart)
  students: StudentPart[];

  /** Who chose a tile on this device. */
  @IsOptional()
  @IsUUID()
  studentId: string | null;
}

/** The last value of a pot before today. */
export class LastReadingView {
  @IsCalendarDay()
  day: string;

  @IsIn(READING_STATES)
  state: ReadingState;

  @IsOptional()
  @IsNumber()
  value: number | null;
}

/** A pot that a student reads today. */
export class StudentPotView {
  @IsUUID()
  experimentId: string;

  @IsString()
  question: string;

  @IsUUID()
  unitId: string;

  @IsInt()
  number: number;

  @IsString()
  treatment: string;

  @IsInt()
  style: number;

  @IsIn(CROP_HABITS)
  habit: CropHabit;

  @IsOptional()
  @IsInt()
  seedsSown: number | null;

  /** Which plant is read: the tallest, a marked one, or every one. */
  @IsString()
  plantRule: string;

  @ValidateNested()
  @Type(() => VariableView)
  variable: VariableView;

  @IsOptional()
  @ValidateNested()
  @Type(() => LastReadingView)
  last: LastReadingView | null;

  /** The student's own reading of today that counts, to be corrected. */
  @IsOptional()
  @ValidateNested()
  @Type(() => ReadingView)
  own: ReadingView | null;

  /** True once anybody read it today. */
  @IsBoolean()
  isReadToday: boolean;
}

/** The door of a class, and what a student does behind it. */
export const studentRoutes = {
  join: route({
    method: 'POST',
    path: '/door',
    summary: 'Join a class by its code on this device',
    access: 'anyone',
    body: JoinRequest,
    answer: DoorView,
  }),
  door: route({
    method: 'GET',
    path: '/door',
    summary: 'The class that this device joined',
    access: 'student',
    answer: DoorView,
  }),
  chooseTile: route({
    method: 'PUT',
    path: '/door/student',
    summary: 'Say who is at this device',
    access: 'student',
    body: TileRequest,
    answer: DoorView,
  }),
  leave: route({
    method: 'DELETE',
    path: '/door',
    summary: 'Leave the class on this device',
    access: 'student',
  }),
  pots: listRoute({
    method: 'GET',
    path: '/door/pots',
    summary: 'The pots of the student’s team today',
    access: 'student',
    answer: StudentPotView,
  }),
  keepPot: route({
    method: 'PUT',
    path: '/door/readings/:readingId',
    summary: 'Keep a student’s reading of today under an id made on the device',
    access: 'student',
    body: ReadingRequest,
    answer: ReadingView,
  }),
} as const;
