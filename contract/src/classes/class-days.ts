import 'reflect-metadata';
import type { Holiday } from '@bright-sprout/core/design';
import type { CalendarDay } from '@bright-sprout/core/shared';
import { Length } from 'class-validator';
import { IsCalendarDay, Parts, Trimmed, Wholes } from '../shared/index.ts';

/** A run of days without class. */
export class HolidayPart implements Holiday {
  @Trimmed() @Length(1, 60, { message: 'Name the holiday.' }) name: string;
  @IsCalendarDay('a first day that exists') from: CalendarDay;
  @IsCalendarDay('a last day that exists') to: CalendarDay;
}

/** The days on which a class meets: ISO weekdays, 1 Monday … 7 Sunday, less its holidays. */
export class ClassDaysPart {
  @Wholes(1, 7, 'meeting days', 1, 7) meetingDays: number[];

  @Parts(() => HolidayPart, 0, 40, 'holidays') holidays: HolidayPart[];
}
