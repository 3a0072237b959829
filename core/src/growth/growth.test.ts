import { describe, expect, test } from '@jest/globals';
import { calendarDay, type ReadingState } from '../shared/index.ts';
import { changeSinceLast, lastValueBefore, type ReadingFact, reduceUnitDay, unitDays } from './index.ts';

function reading(
  day: string,
  value: number | null,
  state: ReadingState = 'emerged',
  unitId = 'u1',
): ReadingFact {
  return { unitId, day: calendarDay(day), state, value };
}

describe('one finding for each unit and day', () => {
  test('two people who read the same pot give the mean', () => {
    expect(reduceUnitDay([reading('2026-05-04', 60), reading('2026-05-04', 64)])).toMatchObject({
      state: 'emerged',
      value: 62,
      readings: 2,
    });
  });

  test('a value wins over a state, and "not read" over nothing only', () => {
    expect(reduceUnitDay([reading('2026-05-04', null, 'not_emerged'), reading('2026-05-04', 8)])?.value).toBe(
      8,
    );
    expect(
      reduceUnitDay([reading('2026-05-04', null, 'dead'), reading('2026-05-04', null, 'not_read')])?.state,
    ).toBe('dead');
    expect(reduceUnitDay([reading('2026-05-04', null, 'not_read')])).toMatchObject({
      state: 'not_read',
      readings: 0,
    });
    expect(reduceUnitDay([])).toBeUndefined();
  });

  test('findings come in day order, whatever the order of entry', () => {
    const found = unitDays([
      reading('2026-05-06', 30),
      reading('2026-05-04', 10),
      reading('2026-05-05', 5, 'emerged', 'u2'),
    ]);
    expect(found.get('u1')?.map((finding) => finding.day)).toEqual(['2026-05-04', '2026-05-06']);
    expect(found.get('u2')).toHaveLength(1);
  });
});

describe('change since the last reading', () => {
  const history = unitDays([
    reading('2026-05-01', null, 'not_emerged'),
    reading('2026-05-04', 50),
    reading('2026-05-05', null, 'not_read'),
  ]).get('u1')!;

  test('is undefined at the first reading, for "not up yet" is no height', () => {
    expect(changeSinceLast(history, calendarDay('2026-05-04'), 50)).toEqual({
      defined: false,
      reason: 'first_reading',
    });
  });

  test('counts the days between, over days not read', () => {
    expect(changeSinceLast(history, calendarDay('2026-05-08'), 62)).toEqual({
      defined: true,
      value: { amount: 12, days: 4, perDay: 3, since: '2026-05-04', before: 50 },
    });
  });

  test('may be negative', () => {
    const change = changeSinceLast(history, calendarDay('2026-05-06'), 44);
    expect(change).toMatchObject({ defined: true, value: { amount: -6, perDay: -3 } });
  });

  test('the last value is strictly before the day', () => {
    expect(lastValueBefore(history, calendarDay('2026-05-04'))).toBeUndefined();
    expect(lastValueBefore(history, calendarDay('2026-05-06'))?.value).toBe(50);
  });
});
