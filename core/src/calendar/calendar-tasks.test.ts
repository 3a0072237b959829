import { describe, expect, test } from '@jest/globals';
import { calendarDay } from '../shared/index.ts';
import { isDueToday, type JobFacts, jobRank, nextJob, timelineDays } from './index.ts';

const MONDAY = calendarDay('2026-11-23');
const SATURDAY = calendarDay('2026-11-28');

function facts(changes: Partial<JobFacts>): JobFacts {
  return {
    status: 'growing',
    sowOn: calendarDay('2026-11-02'),
    lessonOn: calendarDay('2026-12-04'),
    today: MONDAY,
    unitsToRead: 12,
    unitsReadToday: 0,
    ...changes,
  };
}

describe('timeline', () => {
  const plan = {
    sowOn: calendarDay('2026-11-02'),
    lessonOn: calendarDay('2026-11-30'),
    today: MONDAY,
    emergence: [{ from: calendarDay('2026-11-06'), to: calendarDay('2026-11-10') }],
    readDays: [],
  };

  test('runs from sowing to the lesson with ages, class days and today', () => {
    const days = timelineDays(plan);
    expect(days).toHaveLength(29);
    expect(days[0]).toMatchObject({ day: '2026-11-02', age: 0, isClassDay: true, isToday: false });
    expect(days[5]).toMatchObject({ day: '2026-11-07', isClassDay: false, inEmergenceWindow: true });
    expect(days.filter((day) => day.inEmergenceWindow).map((day) => day.age)).toEqual([4, 5, 6, 7, 8]);
    expect(days.find((day) => day.isToday)?.age).toBe(21);
  });

  test('stretches to readings outside of it, and has two days at least', () => {
    const days = timelineDays({ ...plan, readDays: [calendarDay('2026-12-02'), calendarDay('2026-11-01')] });
    expect([days[0]?.day, days.at(-1)?.day]).toEqual(['2026-11-01', '2026-12-02']);
    expect(timelineDays({ ...plan, lessonOn: plan.sowOn })).toHaveLength(2);
  });

  test('of an age ladder expects seedlings after each of its sowings, and none between', () => {
    const emergence = ['2026-11-06', '2026-11-20'].map((from) => ({
      from: calendarDay(from),
      to: calendarDay(from),
    }));
    const expected = timelineDays({ ...plan, emergence }).filter((day) => day.inEmergenceWindow);
    expect(expected.map(({ day }) => day)).toEqual(['2026-11-06', '2026-11-20']);
  });

  test('stays drawable with a slip in a year', () => {
    expect(timelineDays({ ...plan, lessonOn: calendarDay('2126-11-30') }).length).toBeLessThan(1300);
  });

  test('has no window for a crop without figures', () => {
    expect(timelineDays({ ...plan, emergence: [] }).some((day) => day.inEmergenceWindow)).toBe(false);
  });

  test('shows holidays and the class’s own days as off', () => {
    const holidays = [{ name: 'Trip', from: calendarDay('2026-11-09'), to: calendarDay('2026-11-10') }];
    const days = timelineDays({ ...plan, classDays: { meetingDays: [1, 2, 3], holidays } });
    const class2 = days.filter((day) => day.isClassDay && day.day < '2026-11-14').map((day) => day.day);
    expect(class2).toEqual(['2026-11-02', '2026-11-03', '2026-11-04', '2026-11-11']);
  });
});

describe('jobs', () => {
  test.each([
    [
      'a draft to be sown later',
      { status: 'draft', sowOn: calendarDay('2026-11-26') },
      { code: 'sow', inDays: 3 },
      false,
    ],
    ['a draft to be sown today', { status: 'draft', sowOn: MONDAY }, { code: 'sow', inDays: 0 }, true],
    [
      'a draft overdue',
      { status: 'draft', sowOn: calendarDay('2026-11-20') },
      { code: 'sow', inDays: -3 },
      true,
    ],
    ['a class day', {}, { code: 'read', left: 12, of: 12 }, true],
    ['some pots left', { unitsReadToday: 10 }, { code: 'read', left: 2, of: 12 }, true],
    ['all read', { unitsReadToday: 12 }, { code: 'all_read', of: 12 }, false],
    ['a Saturday', { today: SATURDAY }, { code: 'read_next_class_day' }, false],
    [
      'a Saturday already begun',
      { today: SATURDAY, unitsReadToday: 1 },
      { code: 'read', left: 11, of: 12 },
      true,
    ],
    ['the sowing day itself', { sowOn: MONDAY, status: 'planted' }, { code: 'read_next_class_day' }, false],
    ['the lesson day', { lessonOn: MONDAY }, { code: 'lesson', inDays: 0 }, true],
    [
      'every pot dead, after the lesson',
      { unitsToRead: 0, lessonOn: calendarDay('2026-11-20') },
      { code: 'lesson', inDays: -3 },
      true,
    ],
    ['finished', { status: 'finished' }, { code: 'nothing' }, false],
  ] as const)('%s', (_, changes, job, due) => {
    const found = nextJob(facts(changes));
    expect(found).toEqual(job);
    expect(isDueToday(found)).toBe(due);
  });

  test('what is due comes first on the shelf, what is finished last', () => {
    const rank = (changes: Partial<JobFacts>): number => {
      const all = facts(changes);
      return jobRank(nextJob(all), all.status);
    };
    const ranks = [
      rank({}),
      rank({ unitsReadToday: 12 }),
      rank({ status: 'draft', sowOn: SATURDAY }),
      rank({ status: 'finished' }),
    ];
    expect(ranks).toEqual([0, 1, 2, 3]);
  });
});
