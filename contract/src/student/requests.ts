import 'reflect-metadata';
import type { ReadingLevel } from '@bright-sprout/core/words';
import type { CropHabit } from '@bright-sprout/core/design';
import type { GrowthFacts } from '@bright-sprout/core/growth';
import type { ReadingState } from '@bright-sprout/core/shared';
import { IsOptional, Length, Matches } from 'class-validator';
import { StudentPart } from '../classes/index.ts';
import { CareRequest } from '../care/index.ts';
import { EntryRequest } from '../journal/index.ts';
import type { VariableView } from '../plans/index.ts';
import { ReadingRequest, type ReadingView } from '../readings/index.ts';
import { type Day, type Id, IsId, IsInstant, NestedOrNull, Trimmed } from '../shared/index.ts';
import { TickRequest } from '../sowing/index.ts';

/** The code on the board. */
export class JoinRequest {
  @Trimmed() @Length(4, 12, { message: 'Type the code on the board.' }) code: string;
}

/** A picture was chosen. */
export class ChosenStudentRequest {
  @IsId() studentId: string;

  /** Four digits, where the class asks for them. */
  @IsOptional() @Matches(/^\d{4}$/, { message: 'A PIN has four digits.' }) pin?: string | null;
}

/** Who made something on a shared device, and when by the clock of that device, which may be wrong. */
export class MadeOnDevicePart {
  /** Who chose a picture on this device; not always the one who is at it when the network is back. */
  @IsId() studentId: string;

  @IsInstant() madeAt: string;
  @IsInstant() sentAt: string;
}

/** A student's reading. Its day is the one on which it was made. */
export class StudentReadingRequest extends ReadingRequest {
  @NestedOrNull(() => MadeOnDevicePart) made?: MadeOnDevicePart;
}

/** A student's photo, drawing or sentence. */
export class StudentEntryRequest extends EntryRequest {
  @IsId() experimentId: string;
  @NestedOrNull(() => MadeOnDevicePart) made?: MadeOnDevicePart;
}

/** Care that a student gave. */
export class StudentCareRequest extends CareRequest {
  @IsId() experimentId: string;
  @NestedOrNull(() => MadeOnDevicePart) made?: MadeOnDevicePart;
}

/** A student's tick of sowing. */
export class StudentTickRequest extends TickRequest {
  @NestedOrNull(() => MadeOnDevicePart) made?: MadeOnDevicePart;
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
  /** True where seeds lie on paper or cotton, and roots are looked for. */
  isSoilFree: boolean;
  /** Which plant is read: the tallest, a marked one, or every one. */
  plantRule: string;
  variable: VariableView;
  last: LastReadingView | null;
  /** Read of this pot as well. */
  others: OtherReadView[];
  sownOn: Day | null;
  crop: GrowthFacts | null;
  /** How far a reading of this class usually is from the truth; `null` when nobody knows. */
  readingErrorMm: number | null;
  /** True once the teacher closed the day. */
  isClosed: boolean;
  /** The student's own reading of today that counts, to be corrected. */
  own: ReadingView | null;
  /** True once anybody read it today. */
  isReadToday: boolean;
}
