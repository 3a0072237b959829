import { describe, expect, test } from '@jest/globals';
import { calendarDay } from '@bright-sprout/core/shared';
import { madeOut } from './certificate-owners.ts';
import type { Certificate } from './certificates.ts';

const up = (number: number, team: string): Certificate => ({
  ...{ kind: 'first_sprout', id: `u${number}`, number, team, day: calendarDay('2026-11-12'), age: 3 },
});
const full = (number: number, team: string): Certificate => ({
  ...{ kind: 'full_record', id: `u${number}`, number, team, days: 9 },
});
const FOUND = [up(1, 'Otters'), up(2, 'Otters'), up(3, 'Herons'), full(1, 'Otters')];
const CHILDREN = [
  { id: 'a', displayName: 'Ada', team: 'Otters' },
  { id: 'b', displayName: 'Ben', team: 'Otters' },
  { id: 'c', displayName: 'Cleo', team: 'Herons' },
  { id: 'd', displayName: 'Dan', team: 'Newts' },
];
const told = (to: Parameters<typeof madeOut>[1], hasNames = true): string[] =>
  madeOut(FOUND, to, CHILDREN, hasNames).map(
    ({ kind, name, pots }) => `${kind} ${name}: ${pots.map(({ number }) => number).join()}`,
  );

describe('certificates', () => {
  test('are one for each pot', () => {
    expect(told('pots')).toHaveLength(4);
    expect(told('pots')[3]).toBe('full_record Otters: 1');
  });

  test('are one for each team and kind, with all of its pots', () => {
    expect(told('teams')).toEqual([
      'first_sprout Otters: 1,2',
      'first_sprout Herons: 3',
      'full_record Otters: 1',
    ]);
  });

  test('are one for each child of a team that has some, and none for others', () => {
    expect(told('students')).toEqual([
      'first_sprout Ada: 1,2',
      'first_sprout Ben: 1,2',
      'first_sprout Cleo: 3',
      'full_record Ada: 1',
      'full_record Ben: 1',
    ]);
  });

  test('name nobody where names are not wanted', () => {
    expect(told('students', false).every((one) => /^\w+ :/.test(one))).toBe(true);
    expect(madeOut([], 'students', CHILDREN, true)).toEqual([]);
  });
});
