import type { Holiday } from '@bright-sprout/core/design';
import type { CalendarDay } from '@bright-sprout/core/shared';
import { Length } from 'class-validator';
import { IsCalendarDay, Trimmed } from '../shared/index.ts';

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
