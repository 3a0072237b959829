import { MOST_STUDENTS } from '@bright-sprout/core/shared';
import { describe, expect, test } from '@jest/globals';
import { check, type WireClass } from '../shared/index.ts';
import { GerminationTestPart, SeedLotRequest } from '../inventory/index.ts';
import { TaskRequest } from '../plans/index.ts';
import { JoinRequest } from '../student/index.ts';
import { ClassRequest, RosterRequest } from './index.ts';

const CLASS = {
  name: ' 5b ',
  readingLevel: '8-10',
  timeZone: 'Europe/Lisbon',
  meetingDays: [1, 3],
  holidays: [{ name: 'Break', from: '2028-02-28', to: '2028-02-29' }],
};
const ID = '01a20970-c851-75ac-9b96-a433a9a00c6b';
const STUDENT = { id: ID, displayName: 'Ada', avatar: 'snail', teamId: null };

function problemsOf<T extends object>(wire: WireClass<T>, value: object): string[] {
  const checked = check(wire, value);
  return checked.ok ? [] : checked.fields.map(({ field, message }) => `${field}: ${message}`);
}

describe('a class on the wire', () => {
  test('passes with a leap day, trimmed', () => {
    expect(check(ClassRequest, CLASS)).toMatchObject({ ok: true, value: { name: '5b' } });
  });

  test.each([
    [{ name: '' }, 'name: Name the class in up to 60 characters.'],
    [{ name: 'x'.repeat(61) }, 'name: Name the class in up to 60 characters.'],
    [{ timeZone: 'Nowhere/At all' }, 'timeZone: Give a time zone such as Europe/Lisbon.'],
    [{ meetingDays: [] }, 'meetingDays: Choose at least one of the meeting days.'],
    [
      { holidays: [{ name: 'x', from: '2027-02-29', to: '2027-03-01' }] },
      'holidays.0.from: Give a first day that exists.',
    ],
    [{ readingLevel: '12' }, 'readingLevel: Choose an age.'],
  ])('%j is refused in words', (changes, problem) => {
    expect(problemsOf(ClassRequest, { ...CLASS, ...changes })).toEqual([problem]);
  });
});

describe('a roster on the wire', () => {
  const roster = (changes: object) => ({ teams: [], students: [{ ...STUDENT, ...changes }] });

  test.each([
    [{ displayName: '  ' }, 'students.0.displayName: Write a display name in up to 40 characters.'],
    [{ displayName: 'x'.repeat(41) }, 'students.0.displayName: Write a display name in up to 40 characters.'],
    [{ avatar: '../../etc' }, 'students.0.avatar: Choose a picture.'],
    [{ avatar: 'x'.repeat(21) }, 'students.0.avatar: Choose a picture.'],
  ])('%j is refused in words', (changes, problem) => {
    expect(problemsOf(RosterRequest, roster(changes))).toEqual([problem]);
  });

  test('holds no surname, no address and no more students than a class', () => {
    expect(problemsOf(RosterRequest, roster({ email: 'a@b.example' }))).toHaveLength(1);
    const students = Array.from({ length: MOST_STUDENTS + 1 }, () => STUDENT);
    expect(problemsOf(RosterRequest, { teams: [], students })).toEqual(['students: At most 60 students.']);
  });
});

test('a code is typed, not left empty', () => {
  expect(problemsOf(JoinRequest, { code: ' ab ' })).toEqual(['code: Type the code on the board.']);
  expect(problemsOf(JoinRequest, { code: ' AB12 ' })).toEqual([]);
});

test('a task may be plain, but not on a day that is none', () => {
  const plain = { movedTo: null, doneOn: null, who: '', title: '' };
  expect(problemsOf(TaskRequest, plain)).toEqual([]);
  expect(problemsOf(TaskRequest, { ...plain, movedTo: '2026-04-31' })).toEqual([
    'movedTo: Give a day that exists.',
  ]);
});

test('a packet may say nothing, but not nonsense', () => {
  const silent = {
    cropId: 'oat',
    name: 'Packet',
    germinationPercent: null,
    depthMm: null,
    daysToEmergence: null,
    spacingMm: null,
    seedsPerPacket: null,
    packedOn: null,
    tests: [],
  };
  expect(problemsOf(SeedLotRequest, silent)).toEqual([]);
  expect(problemsOf(SeedLotRequest, { ...silent, germinationPercent: 101 })).toEqual([
    'germinationPercent: Give a percentage from 0 to 100.',
  ]);
  expect(problemsOf(SeedLotRequest, { ...silent, daysToEmergence: { min: 0, max: 9 } })).toEqual([
    'daysToEmergence.min: Give a whole number of days from 1 to 400.',
  ]);
  expect(problemsOf(GerminationTestPart, { on: '2027-01-01', sown: 2.5, up: 1 })).toEqual([
    'sown: Give a whole number of seeds from 1 to 10 000.',
  ]);
});
