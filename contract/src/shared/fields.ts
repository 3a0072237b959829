import 'reflect-metadata';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsInt,
  IsNumber,
  Length,
  Max,
  MaxLength,
  Min,
} from 'class-validator';
import { IsId, Trimmed } from './checks.ts';
import { NestedList, together } from './nested.ts';
import type { WireClass } from './route.ts';

/** A whole number of something; whatever is wrong with it, one message says what would be right. */
export function Whole(least: number, most: number, what = ''): PropertyDecorator {
  const message = `Give a whole number${what && ` of ${what}`} from ${figure(least)} to ${figure(most)}.`;
  return together(Min(least, { message }), Max(most, { message }), IsInt({ message }));
}

/** A number of any kind, such as `'the depth in mm'`. */
export function Quantity(least: number, most: number, what = 'a number'): PropertyDecorator {
  const message = `Give ${what} from ${figure(least)} to ${figure(most)}.`;
  return together(Min(least, { message }), Max(most, { message }), IsNumber({}, { message }));
}

/** Text that must be there, without blanks at its ends. */
export function ShortText(most: number, what = 'Write it'): PropertyDecorator {
  return together(Trimmed(), Length(1, most, { message: `${what} in up to ${figure(most)} characters.` }));
}

/** Text that may be empty, without blanks at its ends. */
export function Note(most: number): PropertyDecorator {
  return together(Trimmed(), MaxLength(most, { message: `Keep it to ${figure(most)} characters.` }));
}

/** One of a list, such as `'a unit'`; where nothing is said of it the list is. */
export function OneOf(list: readonly unknown[], what = `one of ${list.join(', ')}`): PropertyDecorator {
  return IsIn(list, { message: `Choose ${what}.` });
}

/** Parts of another class, so many at least and at most. */
export function Parts(
  type: () => WireClass<object>,
  least: number,
  most: number,
  what: string,
): PropertyDecorator {
  return together(...listSize(least, most, what), NestedList(type));
}

/** Ids made on devices, so many at least and at most. */
export function Ids(least: number, most: number, what: string): PropertyDecorator {
  return together(IsArray(), ...listSize(least, most, what), IsId(undefined, { each: true }));
}

/** Texts of up to `longest` characters, none of them empty, so many at least and at most. */
export function Texts(least: number, most: number, what: string, longest: number): PropertyDecorator {
  const message = `Write each of the ${what} in up to ${figure(longest)} characters.`;
  const each = Length(1, longest, { each: true, message });
  return together(IsArray(), ...listSize(least, most, what), Trimmed(), each);
}

/** Whole numbers of a range, so many at least and at most. */
export function Wholes(
  least: number,
  most: number,
  what: string,
  from: number,
  to: number,
): PropertyDecorator {
  return together(IsArray(), ...listSize(least, most, what), ...range(from, to, what), IsInt({ each: true }));
}

/** Numbers of a range, so many at least and at most. */
export function Quantities(
  least: number,
  most: number,
  what: string,
  from: number,
  to: number,
): PropertyDecorator {
  const isNumber = IsNumber({}, { each: true });
  return together(IsArray(), ...listSize(least, most, what), ...range(from, to, what), isNumber);
}

function listSize(least: number, most: number, what: string): PropertyDecorator[] {
  const tooFew = least === 1 ? `Choose at least one of the ${what}.` : `At least ${least} ${what}.`;
  const tooMany = ArrayMaxSize(most, { message: `At most ${figure(most)} ${what}.` });
  return least === 0 ? [tooMany] : [ArrayMinSize(least, { message: tooFew }), tooMany];
}

function range(from: number, to: number, what: string): PropertyDecorator[] {
  const message = `Give ${what} from ${figure(from)} to ${figure(to)}.`;
  return [Min(from, { each: true, message }), Max(to, { each: true, message })];
}

/** `−10`, `5000`, `20 000` */
function figure(value: number): string {
  const digits = Math.abs(value) < 10_000 ? String(Math.abs(value)) : grouped(Math.abs(value));
  return value < 0 ? `−${digits}` : digits;
}

function grouped(value: number): string {
  return String(value).replaceAll(/\B(?=(?:\d{3})+$)/g, ' ');
}
