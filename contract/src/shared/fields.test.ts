import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  check,
  Ids,
  Note,
  OneOf,
  Parts,
  Quantities,
  Quantity,
  ShortText,
  Texts,
  Whole,
  Wholes,
} from './index.ts';

class Part {
  @Whole(0, 9) digit: number;
}

class Fields {
  @Whole(-3, 12_000, 'seeds') whole: number;
  @Quantity(-10, 60, 'a temperature in °C') quantity: number;
  @ShortText(5, 'Name it') text: string;
  @Note(5) note: string;
  @OneOf(['cm', 'in'], 'a unit') unit: string;
  @Parts(() => Part, 1, 2, 'digits') parts: Part[];
  @Ids(0, 2, 'pots') ids: string[];
  @Texts(1, 2, 'answers', 3) texts: string[];
  @Wholes(0, 3, 'days', 1, 7) wholes: number[];
  @Quantities(2, 4, 'coordinates', 0, 1) quantities: number[];
}

const GOOD = {
  ...{ whole: 1, quantity: 1.5, text: 'a', note: '', unit: 'cm', parts: [{ digit: 1 }], ids: [] },
  ...{ texts: ['a'], wholes: [1], quantities: [0, 1] },
};

/** What is said of a value in one field of a request that is right else. */
function said(field: keyof Fields, value: unknown): string[] {
  const checked = check(Fields, { ...GOOD, [field]: value });
  return checked.ok ? [] : checked.fields.map((one) => `${one.field}: ${one.message}`);
}

describe('fields of requests', () => {
  test('a request that is right passes', () => {
    expect(check(Fields, GOOD).ok).toBe(true);
  });

  test('any number is taken exactly when it is whole and within, and else one thing is said', () => {
    const numbers = fc.oneof(fc.integer({ min: -20, max: 13_000 }), fc.double());
    fc.assert(
      fc.property(numbers, (value) => {
        const isRight = value === Math.trunc(value) && value >= -3 && value <= 12_000;
        const problems = isRight ? [] : ['whole: Give a whole number of seeds from −3 to 12 000.'];
        expect(said('whole', value)).toEqual(problems);
      }),
    );
  });

  test('any list of numbers is taken exactly when all are within and it is neither too long nor too short', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: -0.5, max: 1.5, noNaN: true }), { maxLength: 6 }), (values) => {
        const isRight =
          values.length >= 2 && values.length <= 4 && values.every((one) => one >= 0 && one <= 1);
        expect(said('quantities', values).length).toBe(isRight ? 0 : 1);
      }),
    );
  });

  test.each<[keyof Fields, unknown, string]>([
    ['whole', '3', 'Give a whole number of seeds from −3 to 12 000.'],
    ['quantity', 60.1, 'Give a temperature in °C from −10 to 60.'],
    ['quantity', Number.NaN, 'Give a temperature in °C from −10 to 60.'],
    ['text', ' \u200B ', 'Name it in up to 5 characters.'],
    ['text', 'abcdef', 'Name it in up to 5 characters.'],
    ['note', 'abcdef', 'Keep it to 5 characters.'],
    ['unit', 'mm', 'Choose a unit.'],
    ['parts', [], 'Choose at least one of the digits.'],
    ['parts', [{ digit: 1 }, { digit: 1 }, { digit: 1 }], 'At most 2 digits.'],
    ['ids', Array(3).fill('01890a5d-ac96-774b-bcce-b302099a8057'), 'At most 2 pots.'],
    ['texts', ['abcd'], 'Write each of the answers in up to 3 characters.'],
    ['wholes', [8], 'Give days from 1 to 7.'],
    ['quantities', [1], 'At least 2 coordinates.'],
  ])('%s %j is refused in words', (field, value, words) => {
    expect(said(field, value)).toEqual([`${field}: ${words}`]);
  });

  test('a part of a list is told by its place', () => {
    expect(said('parts', [{ digit: 1 }, { digit: 10 }])).toEqual([
      'parts.1.digit: Give a whole number from 0 to 9.',
    ]);
  });
});
