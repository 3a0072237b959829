import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  addDays,
  amountText,
  calendarDay,
  randomGenerator,
  computedLengthText,
  dayInZone,
  daysBetween,
  daysFromTo,
  isCalendarDay,
  type LengthScale,
  lengthText,
  LONGEST_MM,
  markText,
  nearestMark,
  parseLength,
  shuffled,
  toMillimetres,
  weekday,
} from './index.ts';

const HALF_CM: LengthScale = { unit: 'cm', step: 0.5 };
const CM_AND_MM: LengthScale = { unit: 'cm', step: 0.1 };
const QUARTER_INCH: LengthScale = { unit: 'in', step: 0.25 };
const EIGHTH_INCH: LengthScale = { unit: 'in', step: 0.125 };
const SIXTEENTH_INCH: LengthScale = { unit: 'in', step: 0.0625 };
const MM: LengthScale = { unit: 'mm', step: 1 };

describe('calendar days', () => {
  test.each([
    '2026-02-31',
    '2025-02-29',
    '26-01-01',
    '2026-1-1',
    '2026-13-01',
    '',
    'today',
    '1026-01-01',
    null,
    5,
  ])('%p is no date', (text) => {
    expect(isCalendarDay(text)).toBe(false);
  });

  test('29 February of a leap year is one', () => {
    expect(isCalendarDay('2028-02-29')).toBe(true);
    expect(() => calendarDay('2027-02-29')).toThrow('YYYY-MM-DD');
  });

  test('days are counted over months, leap days and clock changes', () => {
    expect(addDays(calendarDay('2028-02-28'), 2)).toBe('2028-03-01');
    expect(addDays(calendarDay('2026-01-01'), -1)).toBe('2025-12-31');
    expect(daysBetween(calendarDay('2026-03-28'), calendarDay('2026-03-30'))).toBe(2);
    expect(daysFromTo(calendarDay('2026-11-29'), calendarDay('2026-12-01'))).toEqual([
      '2026-11-29',
      '2026-11-30',
      '2026-12-01',
    ]);
    expect(daysFromTo(calendarDay('2026-12-01'), calendarDay('2026-11-29'))).toEqual([]);
  });

  test('weekdays are those of ISO 8601', () => {
    expect(weekday(calendarDay('2026-11-23'))).toBe(1);
    expect(weekday(calendarDay('1969-12-28'))).toBe(7);
  });

  test('one instant is two days in two zones', () => {
    const instant = Date.parse('2026-11-23T23:30:00Z');
    expect(dayInZone(instant, 'UTC')).toBe('2026-11-23');
    expect(dayInZone(instant, 'Pacific/Auckland')).toBe('2026-11-24');
    expect(dayInZone(instant, 'America/Los_Angeles')).toBe('2026-11-23');
    expect(() => dayInZone(instant, 'Nowhere/Land')).toThrow(RangeError);
  });

  test('adding and counting agree', () => {
    const days = fc
      .integer({ min: 0, max: 90_000 })
      .map((count) => addDays(calendarDay('1950-01-01'), count));
    fc.assert(
      fc.property(days, fc.integer({ min: -400, max: 400 }), (day, count) => {
        fc.pre(addDays(day, count) < '2199-12-31');
        expect(daysBetween(day, addDays(day, count))).toBe(count);
      }),
    );
  });
});

describe('lengths', () => {
  test.each([
    ['6.2', HALF_CM, 60, true],
    ['6,5', HALF_CM, 65, false],
    [' 6.5 cm', HALF_CM, 65, false],
    ['30 + 4.5', HALF_CM, 345, false],
    ['62mm', HALF_CM, 62, false],
    ['2 1/4', QUARTER_INCH, 57.15, false],
    ['2⅛', { unit: 'in', step: 0.125 } as const, 53.975, false],
    ['⅛', { unit: 'in', step: 0.125 } as const, 3.175, false],
    ['2¼', QUARTER_INCH, 57.15, false],
    ['3/4"', QUARTER_INCH, 19.05, false],
    ['2.25 in', CM_AND_MM, 57.15, false],
    ['1.1', CM_AND_MM, 11, false],
    ['0', MM, 0, false],
    ['12 + 2 1/2', QUARTER_INCH, 368.3, false],
  ])('%p on %p is %p mm', (text, scale, mm, moved) => {
    expect(parseLength(text, scale)).toMatchObject({ ok: true, mm, moved });
  });

  test.each([
    ['', 'empty'],
    ['   ', 'empty'],
    ['tall', 'not_a_length'],
    ['1/0', 'not_a_length'],
    ['6..2', 'not_a_length'],
    ['6 2', 'not_a_length'],
    ['6 + x', 'not_a_length'],
    ['x5.', 'not_a_length'],
    ['5.x', 'not_a_length'],
    ['5;', 'not_a_length'],
    ['x.', 'not_a_length'],
    ["6 of 2'", 'not_a_length'],
    ['6 " tall', 'not_a_length'],
    ['3001 cm', 'too_long'],
    ['9'.repeat(400), 'not_a_length'],
    ['1e3', 'not_a_length'],
    ['NaN', 'not_a_length'],
    ['-3', 'negative'],
    ['4000 cm', 'too_long'],
  ])('%p is refused as %p', (text, problem) => {
    expect(parseLength(text, CM_AND_MM)).toEqual({ ok: false, problem });
  });

  test.each([
    ['2-1/4', 57.15],
    ['2 - 1/4', 57.15],
    ['2 1/4', 57.15],
    ['1,5', 38.1],
    ['2\'6"', 762],
    ['2’ 6 1/2', 774.7],
    ['1 ft', 304.8],
    ["3'", 914.4],
    ['2⅜', 60.325],
    ['5/8"', 15.875],
    ['2⅝', 66.675],
    ['7/8', 22.225],
    ['⅞', 22.225],
    ['2   1/4', 57.15],
    ['11/16', 17.4625],
    ['25/8', 79.375],
    ['2 11 / 16', 68.2625],
    ['1 10/ 16', 41.275],
    ['12.', 304.8],
    ['2 inches', 50.8],
    ['2 inch', 50.8],
    ['2″', 50.8],
    ["2'6 in.", 762],
    ["10'", 3048],
  ])('%s on a ruler of sixteenths is %d mm', (text, mm) => {
    const parsed = parseLength(text, { unit: 'in', step: 1 / 16 });
    expect(parsed.ok && parsed.mm).toBeCloseTo(mm, 3);
  });

  test('only a length beyond the longest is too long', () => {
    expect(parseLength('3000 cm', CM_AND_MM)).toMatchObject({ ok: true, mm: LONGEST_MM });
    expect(parseLength(`5' 3" in all`, CM_AND_MM)).toEqual({ ok: false, problem: 'not_a_length' });
    expect(parseLength(`5'1" 3`, CM_AND_MM)).toEqual({ ok: false, problem: 'not_a_length' });
  });

  test('feet are read in a plan of centimetres too, and nonsense behind them is not', () => {
    expect(parseLength("1'", CM_AND_MM)).toMatchObject({ ok: true, unit: 'in', amount: 12 });
    expect(parseLength("2'x", CM_AND_MM)).toEqual({ ok: false, problem: 'not_a_length' });
    expect(parseLength('2--1/4', QUARTER_INCH)).toEqual({ ok: false, problem: 'not_a_length' });
  });

  test('an inch is 25.4 mm exactly, and halves go up', () => {
    expect(toMillimetres(1, 'in')).toBe(25.4);
    expect(nearestMark(62.5, HALF_CM)).toBe(6.5);
    expect(nearestMark(25, { unit: 'cm', step: 1 })).toBe(3);
  });

  test('readings are written in the marks of the ruler, computed figures a little finer', () => {
    expect(lengthText(62, CM_AND_MM)).toBe('6.2 cm');
    expect(lengthText(60, { unit: 'cm', step: 1 })).toBe('6 cm');
    expect(markText(57.15, QUARTER_INCH)).toBe('2¼');
    expect(markText(12.7, QUARTER_INCH)).toBe('½');
    expect(markText(0, QUARTER_INCH)).toBe('0');
    expect(markText(53.975, EIGHTH_INCH)).toBe('2⅛');
    expect([1, 6, 10, 14].map((count) => markText((count * 25.4) / 16, SIXTEENTH_INCH))).toEqual([
      '1/16',
      '⅜',
      '⅝',
      '⅞',
    ]);
    expect(markText(55.5625, SIXTEENTH_INCH)).toBe('2 3/16');
    expect(computedLengthText(10, { unit: 'cm', step: 0.05 })).toBe('1.00 cm');
    expect(computedLengthText(64.7, CM_AND_MM)).toBe('6.47 cm');
    expect(computedLengthText(64.7, MM)).toBe('64.7 mm');
    expect(computedLengthText(57.15, QUARTER_INCH)).toBe('2.25 in');
  });

  test('what is written is read back exactly', () => {
    const scale = fc.constantFrom(HALF_CM, CM_AND_MM, QUARTER_INCH, EIGHTH_INCH, SIXTEENTH_INCH, MM);
    fc.assert(
      fc.property(scale, fc.integer({ min: 0, max: 4000 }), (ruler, marks) => {
        const mm = toMillimetres(
          nearestMark(toMillimetres(marks * ruler.step, ruler.unit), ruler),
          ruler.unit,
        );
        expect(parseLength(lengthText(mm, ruler), ruler)).toMatchObject({ ok: true, mm });
        expect(toMillimetres(Number(amountText(mm, ruler.unit)), ruler.unit)).toBe(mm);
      }),
    );
  });
});

describe('chance', () => {
  test('the same seed gives the same draws, another seed others', () => {
    const draw = (seed: number): number[] => {
      const chance = randomGenerator(seed);
      return [chance.uniform(), chance.normal(), chance.integer(1, 1000)];
    };
    expect(draw(7)).toEqual(draw(7));
    expect(draw(7)).not.toEqual(draw(8));
  });

  test('normal draws have mean 0 and SD 1', () => {
    const chance = randomGenerator(1);
    const draws = Array.from({ length: 20_000 }, () => chance.normal());
    const mean = draws.reduce((sum, draw) => sum + draw, 0) / draws.length;
    const variance = draws.reduce((sum, draw) => sum + (draw - mean) ** 2, 0) / draws.length;
    expect(Math.abs(mean)).toBeLessThan(0.03);
    expect(Math.abs(variance - 1)).toBeLessThan(0.05);
  });

  test('a shuffle keeps every item, and each order of three comes about equally often', () => {
    const counts = new Map<string, number>();
    for (let seed = 0; seed < 6000; seed += 1) {
      const order = shuffled(['a', 'b', 'c'], randomGenerator(seed)).join('');
      counts.set(order, (counts.get(order) ?? 0) + 1);
    }
    expect([...counts.keys()].sort()).toEqual(['abc', 'acb', 'bac', 'bca', 'cab', 'cba']);
    for (const count of counts.values()) expect(Math.abs(count - 1000)).toBeLessThan(150);
  });
});
