import 'reflect-metadata';
import type { ReadingLevel } from '@bright-sprout/core/words';
import type { CropHabit } from '@bright-sprout/core/design';
import type { ReadingState } from '@bright-sprout/core/shared';
import { IsOptional, Length, Matches } from 'class-validator';
import { StudentPart } from '../classes/index.ts';
import { CareRequest, type CareView } from '../care/index.ts';
import { EntryRequest, type EntryView } from '../journal/index.ts';
import type { VariableView } from '../plans/index.ts';
import { ReadingRequest, type ReadingView } from '../readings/index.ts';
import { IsId, IsInstant, NestedOrNull, json, route, Trimmed, type Day, type Id } from '../shared/index.ts';
import { TickRequest, type TickView } from '../sowing/index.ts';
import { MOST_PART_BYTES } from '../uploads/index.ts';
import { PracticeRequest, type PracticeView, type StudentSowingView } from './work.ts';

export { PracticeRequest, type PracticeView, type SowingPotView, type StudentSowingView } from './work.ts';

/** The code on the board. */
export class JoinRequest {
  @Trimmed()
  @Length(4, 12, { message: 'Type the code on the board.' })
  code: string;
}

/** A picture was chosen. */
export class ChosenStudentRequest {
  @IsId()
  studentId: string;

  /** Four digits, where the class asks for them. */
  @IsOptional()
  @Matches(/^\d{4}$/, { message: 'A PIN has four digits.' })
  pin?: string | null;
}

/** Who made something on a shared device, and when by the clock of that device, which may be wrong. */
export class MadeOnDevicePart {
  /** Who chose a picture on this device; not always the one who is at it when the network is back. */
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
export interface DeviceView {
  classId: Id;
  className: string;
  readingLevel: ReadingLevel;
  today: Day;
  students: StudentPart[];
  /** True when each student types a PIN. */
  asksPin: boolean;
  /** Who chose a picture on this device. */
  studentId: Id | null;
}

/** The last value of a pot before today. */
export interface LastReadingView {
  day: Day;
  state: ReadingState;
  value: number | null;
}

/** Something else that is read of a pot. */
export interface OtherReadView {
  variable: VariableView;
  last: LastReadingView | null;
  own: ReadingView | null;
}

/** What is known of the crop that a value can be doubted by. */
export interface CropGrowthView {
  daysToEmergence: { min: number; max: number } | null;
  heightAtDay21Mm: number | null;
  matureHeightMm: number | null;
}

/** A pot that a student reads today. */
export interface StudentPotView {
  experimentId: Id;
  /** The team that has it; `null` when it is everybody's. */
  teamId: Id | null;
  question: string;
  unitId: Id;
  number: number;
  treatment: string;
  style: number;
  habit: CropHabit;
  seedsSown: number | null;
  /** Which plant is read: the tallest, a marked one, or every one. */
  plantRule: string;
  variable: VariableView;
  last: LastReadingView | null;
  /** Read of this pot as well. */
  others: OtherReadView[];
  sownOn: Day | null;
  crop: CropGrowthView | null;
  /** How far a reading of this class usually is from the truth; `null` when nobody knows. */
  readingErrorMm: number | null;
  /** True once the teacher closed the day. */
  isClosed: boolean;
  /** The student's own reading of today that counts, to be corrected. */
  own: ReadingView | null;
  /** True once anybody read it today. */
  isReadToday: boolean;
}

/** A device of a class, and what a student does on it. */
export const studentRoutes = {
  join: route({
    method: 'POST',
    path: '/device',
    summary: 'Join a class by its code on this device',
    access: 'anyone',
    body: JoinRequest,
    answer: json<DeviceView>(),
    maxBytes: 1_024,
  }),
  device: route({
    method: 'GET',
    path: '/device',
    summary: 'The class that this device joined',
    access: 'student',
    answer: json<DeviceView>(),
  }),
  chooseStudent: route({
    method: 'PUT',
    path: '/device/student',
    summary: 'Say who is at this device',
    access: 'student',
    body: ChosenStudentRequest,
    answer: json<DeviceView>(),
  }),
  leave: route({
    method: 'DELETE',
    path: '/device',
    summary: 'Leave the class on this device',
    access: 'student',
  }),
  pots: route({
    method: 'GET',
    path: '/device/pots',
    summary: 'The pots of the student’s team today',
    access: 'student',
    answer: json<StudentPotView[]>(),
  }),
  keepPot: route({
    method: 'PUT',
    path: '/device/readings/:readingId',
    summary: 'Keep a student’s reading of today under an id made on the device',
    access: 'student',
    body: StudentReadingRequest,
    answer: json<ReadingView>(),
  }),
  sowing: route({
    method: 'GET',
    path: '/device/sowing',
    summary: 'What the student’s team sows now',
    access: 'student',
    answer: json<StudentSowingView[]>(),
  }),
  tickPot: route({
    method: 'PUT',
    path: '/device/sowing/ticks',
    summary: 'Tick an item of the sowing of the team’s own pots',
    access: 'student',
    body: StudentTickRequest,
    answer: json<TickView[]>(),
  }),
  keepOwnCare: route({
    method: 'PUT',
    path: '/device/care/:careId',
    summary: 'Note care of the team’s own pots under an id made on the device',
    access: 'student',
    body: StudentCareRequest,
    answer: json<CareView>(),
  }),
  potJournal: route({
    method: 'GET',
    path: '/device/units/:unitId/journal',
    summary: 'The journal of a pot of the class',
    access: 'student',
    answer: json<EntryView[]>(),
  }),
  keepOwnEntry: route({
    method: 'PUT',
    path: '/device/journal/:entryId',
    summary: 'Keep a photo, drawing or sentence under an id made on the device',
    access: 'student',
    body: StudentEntryRequest,
    answer: json<EntryView>(),
  }),
  keepOwnPart: route({
    method: 'PUT',
    path: '/device/uploads/:newUploadId/parts/:offsetKey',
    summary: 'Keep a part of a picture, by the place of its first byte; sent twice it is stored once',
    access: 'student',
    takesBytes: true,
    maxBytes: MOST_PART_BYTES,
  }),
  classPicture: route({
    method: 'GET',
    path: '/device/journal/:entryId/picture',
    summary: 'A picture of the own class',
    access: 'student',
    file: 'image/jpeg',
  }),
  keepPractice: route({
    method: 'PUT',
    path: '/device/practice/:practiceId',
    summary: 'Keep a reading of a drawn ruler',
    access: 'student',
    body: PracticeRequest,
  }),
  practice: route({
    method: 'GET',
    path: '/classes/:classId/practice',
    summary: 'How well the class reads drawn rulers',
    access: 'owner',
    answer: json<PracticeView>(),
  }),
} as const;
