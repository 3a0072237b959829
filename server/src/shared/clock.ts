import { type CalendarDay, dayInZone } from '@bright-sprout/core/shared';
import { Injectable } from '@nestjs/common';

/** The time of day, in one place so that tests can set it. */
@Injectable()
export class Clock {
  /** The present instant. */
  now(): Date {
    return new Date();
  }

  /** The calendar day it is now in a time zone. */
  today(timeZone: string): CalendarDay {
    return dayInZone(this.now().getTime(), timeZone);
  }
}
