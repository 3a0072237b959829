import { expect, test } from '@jest/globals';
import type { UnitDay } from '../growth/index.ts';
import { calendarDay, type ReadingState } from '../shared/index.ts';
import { weeksOf } from './weeks.ts';

const units = [1, 2, 3].map((number) => ({
  ...{ id: `u${number}`, number, groupId: 'g', team: '' },
  ...{ sownOn: calendarDay('2027-03-01'), fromBright: null },
}));
const found = (day: string, value: number | null, state: ReadingState = 'emerged'): UnitDay => ({
  ...{ unitId: '', day: calendarDay(day), state, value, readings: 1 },
});

test('weeks are of seven days from sowing; each says how many are up and which is the tallest', () => {
  const histories = new Map([
    ['u1', [found('2027-03-07', null, 'not_emerged'), found('2027-03-08', 20), found('2027-03-12', 50)]],
    ['u2', [found('2027-03-14', 50), found('2027-03-16', null, 'dead')]],
    ['u3', [found('2027-03-09', null, 'not_read')]],
  ]);
  const weeks = weeksOf(units, histories, calendarDay('2027-03-01'), calendarDay('2027-03-24'));
  const told = weeks.map(({ number, from, up, tallest }) => [
    number,
    from,
    up,
    tallest?.value,
    tallest?.units.map((unit) => unit.number),
  ]);
  expect(told).toEqual([
    [1, '2027-03-01', 0, undefined, undefined],
    [2, '2027-03-08', 2, 50, [1, 2]],
    [3, '2027-03-15', 1, undefined, undefined],
    [4, '2027-03-22', null, undefined, undefined],
  ]);
});
