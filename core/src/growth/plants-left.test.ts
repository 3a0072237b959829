import { describe, expect, test } from '@jest/globals';
import { calendarDay } from '../shared/index.ts';
import { type PlantsEvent, plantsLeft } from './plants-left.ts';

const counted = (day: string, plants: number): PlantsEvent => ({
  kind: 'counted',
  day: calendarDay(day),
  plants,
});
const thinned = (day: string, plants: number): PlantsEvent => ({
  kind: 'thinned',
  day: calendarDay(day),
  plants,
});
const ended = (day: string, state: 'dead' | 'removed'): PlantsEvent => ({
  kind: 'ended',
  day: calendarDay(day),
  state,
});

describe('plants of a pot over time', () => {
  test('are counted, thinned and lost, each on its day', () => {
    const events = [
      ended('2027-03-20', 'dead'),
      thinned('2027-03-12', 2),
      counted('2027-03-08', 3),
      counted('2027-03-12', 4),
    ];
    expect(plantsLeft(events)).toEqual([
      { day: '2027-03-08', left: 3, thinned: 0, ended: null },
      { day: '2027-03-12', left: 2, thinned: 2, ended: null },
      { day: '2027-03-20', left: 0, thinned: 0, ended: 'dead' },
    ]);
  });

  test('are not known before anybody counted, and never fewer than none', () => {
    expect(plantsLeft([thinned('2027-03-08', 2)])).toEqual([
      { day: '2027-03-08', left: null, thinned: 2, ended: null },
    ]);
    expect(plantsLeft([counted('2027-03-08', 1), thinned('2027-03-09', 5)]).at(-1)?.left).toBe(0);
    expect(plantsLeft([])).toEqual([]);
  });
});
