import { MOST_NAME_CHARACTERS, MOST_STUDENTS } from '@bright-sprout/core/shared';
import type { MovedDay } from '@bright-sprout/core/calendar';
import 'reflect-metadata';
import { READING_LEVELS, type ReadingLevel } from '@bright-sprout/core/words';
import { IsBoolean, IsOptional, Matches } from 'class-validator';
import { type Day, type Id, IsId, IsZone, OneOf, Parts, ShortText } from '../shared/index.ts';
import type { SharedView } from '../sharing/index.ts';
import { ClassDaysPart } from './class-days.ts';

/** A class and when it meets. */
export class ClassRequest extends ClassDaysPart {
  @ShortText(60, 'Name the class') name: string;
  @OneOf(READING_LEVELS, 'an age') readingLevel: ReadingLevel;
  @IsZone({ message: 'Give a time zone such as Europe/Lisbon.' }) timeZone: string;

  /** True when each student types a PIN of four digits before reading. */
  @IsBoolean() asksPin = false;
}

/** A team of a class. */
export class TeamPart {
  @IsId() id: string;
  @ShortText(40, 'Name the team') name: string;
}

/** A student: a display name and a picture, nothing else. */
export class StudentPart {
  @IsId() id: string;
  @ShortText(MOST_NAME_CHARACTERS, 'Write a display name') displayName: string;

  /** Name of the picture. */
  @Matches(/^[a-z-]{1,20}$/, { message: 'Choose a picture.' }) avatar: string;

  @IsOptional() @IsId() teamId: string | null;
}

/** A student as the teacher sees one. */
export class RosterStudentPart extends StudentPart {
  /** Four digits; only asked when the class asks for PINs. */
  @IsOptional() @Matches(/^\d{4}$/, { message: 'A PIN has four digits.' }) pin?: string | null;
}

/** The whole roster; who is not in it is removed for good. */
export class RosterRequest {
  @Parts(() => TeamPart, 0, 20, 'teams') teams: TeamPart[];
  @Parts(() => RosterStudentPart, 0, MOST_STUDENTS, 'students') students: RosterStudentPart[];
}

/** A class with its roster. */
export interface ClassView extends ClassRequest {
  id: Id;
  /** What students type to join; empty for who may only see the class. */
  code: string;
  /** Whose it is, where another teacher shared it; `null` for one’s own. */
  shared: SharedView | null;
  /** The last day that anything of the class was planned for: the last lesson of its experiments, or the day it was made. */
  quietSince: Day;
  teams: TeamPart[];
  students: RosterStudentPart[];
}

/** A plan of a class whose days changed with those of the class. */
export interface MovedPlan {
  experimentId: Id;
  question: string;
  moved: MovedDay[];
  /** Which of its own days the class now does not meet on. */
  offClassDay: ('sowing' | 'lesson')[];
}

/** A class as it was stored, with what that changed in its plans. */
export interface SavedClass extends ClassView {
  movedPlans: MovedPlan[];
}

/** Days after {@link ClassView.quietSince} from which the names of a class are offered for erasure. */
export const OFFER_ERASURE_AFTER_DAYS = 365;
