import 'reflect-metadata';
import { READING_LEVELS, type ReadingLevel } from '@bright-sprout/core/words';
import { CROP_HABITS, type CropHabit } from '@bright-sprout/core/design';
import { READING_STATES, type ReadingState } from '@bright-sprout/core/shared';
import { IsBoolean, IsIn, IsInt, IsNumber, IsOptional, IsString, Length, Matches } from 'class-validator';
import { StudentPart } from '../classes/index.ts';
import { CareRequest, CareView } from '../care/index.ts';
import { EntryRequest, EntryView } from '../journal/index.ts';
import { VariableView } from '../plan/index.ts';
import { ReadingRequest, ReadingView } from '../record/index.ts';
import {
  IsCalendarDay,
  IsId,
  IsInstant,
  listRoute,
  Nested,
  NestedList,
  NestedOrNull,
  route,
  Trimmed,
} from '../shared/index.ts';
import { TickRequest, TickView } from '../sow/index.ts';
import { MOST_PART_BYTES } from '../uploads/index.ts';
import { PracticeRequest, PracticeView, StudentSowingView } from './work.ts';

export { PracticeRequest, PracticeView, SowingPotView, StudentSowingView } from './work.ts';

/** The code on the board. */
export class JoinRequest {
  @Trimmed()
  @Length(4, 12, { message: 'Type the code on the board.' })
  code: string;
}

/** A tile was chosen. */
export class TileRequest {
  @IsId()
  studentId: string;

  /** Four digits, where the class asks for them. */
  @IsOptional()
  @Matches(/^\d{4}$/, { message: 'A PIN has four digits.' })
  pin?: string | null;
}

/** Who made something on a shared device, and when by the clock of that device, which may be wrong. */
export class MadeOnDevicePart {
  /** Who chose a tile on this device; not always the one who is at it when the network is back. */
  @IsId()
  studentId: string;

  @IsInstant()
  madeAt: string;

  @IsInstant()
  sentAt: string;
}

/** A student's reading. Its day is the one on which it was made. */
export class StudentReadingRequest extends ReadingRequest {
  @NestedOrNull(() => MadeOnDevicePart)
  made?: MadeOnDevicePart;
}

/** A student's photo, drawing or sentence. */
export class StudentEntryRequest extends EntryRequest {
  @IsId()
  experimentId: string;

  @NestedOrNull(() => MadeOnDevicePart)
  made?: MadeOnDevicePart;
}

/** Care that a student gave. */
export class StudentCareRequest extends CareRequest {
  @IsId()
  experimentId: string;

  @NestedOrNull(() => MadeOnDevicePart)
  made?: MadeOnDevicePart;
}

/** A student's tick of sowing. */
export class StudentTickRequest extends TickRequest {
  @NestedOrNull(() => MadeOnDevicePart)
  made?: MadeOnDevicePart;
}

/** A class as a device that joined it sees it. */
export class DoorView {
  @IsId()
  classId: string;

  @IsString()
  className: string;

  @IsIn(READING_LEVELS)
  readingLevel: ReadingLevel;

  @IsCalendarDay()
  today: string;

  @NestedList(() => StudentPart)
  students: StudentPart[];

  /** True when each student types a PIN. */
  @IsBoolean()
  asksPin: boolean;

  /** Who chose a tile on this device. */
  @IsOptional()
  @IsId()
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

/** Something else that is read of a pot. */
export class OtherReadView {
  @Nested(() => VariableView)
  variable: VariableView;

  @NestedOrNull(() => LastReadingView)
  last: LastReadingView | null;

  @NestedOrNull(() => ReadingView)
  own: ReadingView | null;
}

/** What is known of the crop that a value can be doubted by. */
export class CropGrowthView {
  @IsOptional()
  daysToEmergence: { min: number; max: number } | null;

  @IsOptional()
  @IsNumber()
  heightAtDay21Mm: number | null;

  @IsOptional()
  @IsNumber()
  matureHeightMm: number | null;
}

/** A pot that a student reads today. */
export class StudentPotView {
  @IsId()
  experimentId: string;

  /** The team that has it; `null` when it is everybody's. */
  @IsOptional()
  @IsId()
  teamId: string | null;

  @IsString()
  question: string;

  @IsId()
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

  @Nested(() => VariableView)
  variable: VariableView;

  @NestedOrNull(() => LastReadingView)
  last: LastReadingView | null;

  /** Read of this pot as well. */
  @NestedList(() => OtherReadView)
  others: OtherReadView[];

  @IsOptional()
  @IsCalendarDay()
  sowedOn: string | null;

  @NestedOrNull(() => CropGrowthView)
  crop: CropGrowthView | null;

  /** How far a reading of this class usually is from the truth; `null` when nobody knows. */
  @IsOptional()
  @IsNumber()
  readingErrorMm: number | null;

  /** True once the teacher closed the day. */
  @IsBoolean()
  isClosed: boolean;

  /** The student's own reading of today that counts, to be corrected. */
  @NestedOrNull(() => ReadingView)
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
    maxBytes: 1_024,
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
    body: StudentReadingRequest,
    answer: ReadingView,
  }),
  sowing: listRoute({
    method: 'GET',
    path: '/door/sowing',
    summary: 'What the student’s team sows now',
    access: 'student',
    answer: StudentSowingView,
  }),
  tickPot: listRoute({
    method: 'PUT',
    path: '/door/sowing/ticks',
    summary: 'Tick an item of the sowing of the team’s own pots',
    access: 'student',
    body: StudentTickRequest,
    answer: TickView,
  }),
  keepOwnCare: route({
    method: 'PUT',
    path: '/door/care/:careId',
    summary: 'Note care of the team’s own pots under an id made on the device',
    access: 'student',
    body: StudentCareRequest,
    answer: CareView,
  }),
  potJournal: listRoute({
    method: 'GET',
    path: '/door/units/:unitId/journal',
    summary: 'The journal of a pot of the class',
    access: 'student',
    answer: EntryView,
  }),
  keepOwnEntry: route({
    method: 'PUT',
    path: '/door/journal/:entryId',
    summary: 'Keep a photo, drawing or sentence under an id made on the device',
    access: 'student',
    body: StudentEntryRequest,
    answer: EntryView,
  }),
  keepOwnPart: route({
    method: 'PUT',
    path: '/door/uploads/:newUploadId/parts/:offsetKey',
    summary: 'Keep a part of a picture, by the place of its first byte; sent twice it is stored once',
    access: 'student',
    takesBytes: true,
    maxBytes: MOST_PART_BYTES,
  }),
  classPicture: route({
    method: 'GET',
    path: '/door/journal/:entryId/picture',
    summary: 'A picture of the own class',
    access: 'student',
    file: 'image/jpeg',
  }),
  keepPractice: route({
    method: 'PUT',
    path: '/door/practice/:practiceId',
    summary: 'Keep a reading of a drawn ruler',
    access: 'student',
    body: PracticeRequest,
  }),
  practice: route({
    method: 'GET',
    path: '/classes/:classId/practice',
    summary: 'How well the class reads drawn rulers',
    access: 'owner',
    answer: PracticeView,
  }),
} as const;
