import 'reflect-metadata';
import { isCalendarDay, isInstant } from '@bright-sprout/core/shared';
import { Transform } from 'class-transformer';
import { ValidateBy, type ValidationOptions } from 'class-validator';

/** A date that exists, as YYYY-MM-DD; such as `'the day it was sown'`. */
export function IsCalendarDay(what?: string): PropertyDecorator {
  return ValidateBy(
    {
      name: 'isCalendarDay',
      validator: {
        validate: isCalendarDay,
        defaultMessage: () => '$property: give a date that exists, as YYYY-MM-DD',
      },
    },
    what === undefined ? {} : { message: `Give ${what}.` },
  );
}

/** An instant of RFC 3339 that exists. */
export function IsInstant(options?: ValidationOptions): PropertyDecorator {
  return ValidateBy(
    {
      name: 'isInstant',
      validator: {
        validate: isInstant,
        defaultMessage: () => '$property: give an instant such as 2026-03-02T09:30:00Z',
      },
    },
    options,
  );
}

const ID = /^[0-9a-f]{8}-[0-9a-f]{4}-[1-7][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/i;

/** True for an id made on a device: a UUID of a version that the database knows (RFC 9562, 1 to 7). */
export function isId(value: unknown): value is string {
  return typeof value === 'string' && ID.test(value);
}

/** An id made on a device; such as `'a class'`. */
export function IsId(what?: string, options: ValidationOptions = {}): PropertyDecorator {
  return ValidateBy(
    { name: 'isId', validator: { validate: isId, defaultMessage: () => '$property: give an id (a UUID)' } },
    what === undefined ? options : { ...options, message: `Choose ${what}.` },
  );
}

/** A value that is given only while another field has one value: a height only of a plant that is up. */
export function OnlyWith(field: string, value: string, message: string): PropertyDecorator {
  return ValidateBy(
    {
      name: 'isOnlyWith',
      constraints: [field, value],
      validator: {
        validate: (given: unknown, about) =>
          given == null || (about?.object as Record<string, unknown> | undefined)?.[field] === value,
      },
    },
    { message },
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

/**
 * White space and characters that show nothing: zero-width ones, soft hyphens, marks of direction, controls. The tags
 * that end the flags of some countries are left, as they are part of a picture.
 */
const INVISIBLE = '(?:(?![\\u{E0020}-\\u{E007F}])[\\s\\p{Cc}\\p{Cf}\\u115F\\u1160\\u3164\\uFFA0])+';
const ENDS = new RegExp(`^${INVISIBLE}|${INVISIBLE}$`, 'gu');

/** Takes a code in an older spelling for the one that it has now. */
export function Spelled(older: Readonly<Record<string, string>>): PropertyDecorator {
  return Transform(({ value }: { value: unknown }) =>
    typeof value === 'string' ? (older[value] ?? value) : value,
  );
}

/** Takes what cannot be seen off both ends, so that a name of blanks counts as empty. */
export function Trimmed(): PropertyDecorator {
  return Transform(({ value }: { value: unknown }) => {
    if (typeof value === 'string') return value.replaceAll(ENDS, '');
    if (Array.isArray(value)) {
      return value.map((one: unknown) => (typeof one === 'string' ? one.replaceAll(ENDS, '') : one));
    }
    return value;
  });
}
