import 'reflect-metadata';
import { isCalendarDay } from '@bright-sprout/core/shared';
import { Transform } from 'class-transformer';
import { ValidateBy, type ValidationOptions } from 'class-validator';

/** A date that exists, as YYYY-MM-DD. */
export function IsCalendarDay(options?: ValidationOptions): PropertyDecorator {
  return ValidateBy(
    {
      name: 'isCalendarDay',
      validator: {
        validate: isCalendarDay,
        defaultMessage: () => '$property: give a date that exists, as YYYY-MM-DD',
      },
    },
    options,
  );
}

/** An IANA time zone that this machine knows. */
export function IsZone(options?: ValidationOptions): PropertyDecorator {
  return ValidateBy(
    {
      name: 'isZone',
      validator: {
        validate: (value: unknown) => typeof value === 'string' && isZone(value),
        defaultMessage: () => '$property: give a time zone such as Europe/Lisbon',
      },
    },
    options,
  );
}

function isZone(name: string): boolean {
  try {
    return name !== '' && new Intl.DateTimeFormat('en', { timeZone: name }).resolvedOptions().timeZone !== '';
  } catch {
    return false;
  }
}

/** Takes white space off both ends, so that a name of blanks counts as empty. */
export function Trimmed(): PropertyDecorator {
  return Transform(({ value }: { value: unknown }) => (typeof value === 'string' ? value.trim() : value));
}
