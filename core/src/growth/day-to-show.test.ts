import { describe, expect, test } from '@jest/globals';
import { calendarDay } from '../shared/index.ts';
import { lastDayMostRead } from './day-to-show.ts';
import { type ReadingFact, unitDays } from './unit-day.ts';

function read(unitId: string, day: string, state: ReadingFact['state'] = 'emerged'): ReadingFact {
  return { unitId, day: calendarDay(day), state, value: state === 'emerged' ? 10 : null };
}

function shown(readings: readonly ReadingFact[], units: number): string | undefined {
  return lastDayMostRead(unitDays(readings), units);
}

const FRIDAY = ['a', 'b', 'c', 'd'].map((unit) => read(unit, '2027-03-05'));

describe('the last day that most pots were read', () => {
  test('is undefined before anybody read', () => {
    expect(shown([], 4)).toBeUndefined();
  });

  test('is not the day that a class has only begun', () => {
    expect(shown([...FRIDAY, read('a', '2027-03-08')], 4)).toBe('2027-03-05');
  });

  test('is today once half the pots are read', () => {
    expect(shown([...FRIDAY, read('a', '2027-03-08'), read('b', '2027-03-08')], 4)).toBe('2027-03-08');
  });

  test('asks nothing of pots that were dead before, and takes a note of "not read" for no reading', () => {
    const dead = [read('b', '2027-03-05', 'dead'), read('c', '2027-03-05', 'removed')];
    const later = [read('a', '2027-03-08'), read('d', '2027-03-08', 'not_read')];
    expect(shown([...FRIDAY.slice(0, 1), ...dead, ...FRIDAY.slice(3), ...later], 4)).toBe('2027-03-08');
  });

  test('is the fullest day, the last of several, when a few pots are read at a time', () => {
    const turns = [
      read('a', '2027-03-01'),
      read('b', '2027-03-02'),
      read('c', '2027-03-02'),
      read('d', '2027-03-03'),
      read('e', '2027-03-03'),
      read('f', '2027-03-04'),
    ];
    expect(shown(turns, 8)).toBe('2027-03-03');
  });
});
