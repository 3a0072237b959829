import 'reflect-metadata';
import type { Holiday } from '@bright-sprout/core/design';
import type { CalendarDay } from '@bright-sprout/core/shared';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsInt, Length, Max, Min } from 'class-validator';
import { IsCalendarDay, NestedList, Trimmed } from '../shared/index.ts';

/** A run of days without class. */
export class HolidayPart implements Holiday {
  @Trimmed()
  @Length(1, 60, { message: 'Name the holiday.' })
  name: string;

  @IsCalendarDay({ message: 'Give a first day that exists.' })
  from: CalendarDay;

  @IsCalendarDay({ message: 'Give a last day that exists.' })
  to: CalendarDay;
}

/** The days on which a class meets: ISO weekdays, 1 Monday … 7 Sunday, less its holidays. */
export class ClassDaysPart {
  @IsArray()
  @ArrayMinSize(1, { message: 'Choose at least one meeting day.' })
  @ArrayMaxSize(7)
  @IsInt({ each: true })
  @Min(1, { each: true })
  @Max(7, { each: true })
  meetingDays: number[];

  @ArrayMaxSize(40, { message: 'At most 40 holidays.' })
  @NestedList(() => HolidayPart)
  holidays: HolidayPart[];
}
