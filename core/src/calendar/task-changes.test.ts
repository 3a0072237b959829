import { describe, expect, test } from '@jest/globals';
import { startPlan, STARTING_CROPS } from '../design/index.ts';
import { calendarDay } from '../shared/index.ts';
import { calendarWithChanges, planCalendar, type TaskChange, waitBeforeSowing } from './index.ts';

const SURROUNDINGS = { crops: STARTING_CROPS, lots: [] };
const holidays = [{ name: 'Break', from: calendarDay('2027-03-08'), to: calendarDay('2027-03-14') }];
const started = startPlan({
  kind: 'one_factor',
  question: 'Why?',
  crop: STARTING_CROPS.find((crop) => crop.id === 'oat')!,
  otherCrops: [],
  sowOn: calendarDay('2027-03-01'),
  lessonOn: calendarDay('2027-03-29'),
});
const plan = { ...started, calendar: { ...started.calendar, holidays } };
const PLAIN: Omit<TaskChange, 'key'> = { movedTo: null, doneOn: null, who: '', title: '' };

function task(changes: readonly TaskChange[], key: string, of = plan) {
  return calendarWithChanges(of, SURROUNDINGS, changes).tasks.find((one) => one.key === key);
}

describe('a calendar with changes', () => {
  test('without any is the plan’s own', () => {
    const own = planCalendar(plan, SURROUNDINGS);
    const same = calendarWithChanges(plan, SURROUNDINGS, []);
    expect(same.tasks.map(({ key, day }) => [key, day])).toEqual(own.tasks.map(({ key, day }) => [key, day]));
    expect(same.emergence).toEqual(own.emergence);
  });

  test('moves, ticks and names; a move back is no move', () => {
    const day = calendarDay('2027-03-18');
    expect(task([{ ...PLAIN, key: 'thin', movedTo: day, who: 'Ben' }], 'thin')).toMatchObject({
      day,
      who: 'Ben',
      isMoved: true,
    });
    const done = task([{ ...PLAIN, key: 'thin', doneOn: day }], 'thin');
    expect(done).toMatchObject({ doneOn: day, isMoved: false });
    const back = task([{ ...PLAIN, key: 'thin', movedTo: done!.day }], 'thin');
    expect(back).toMatchObject({ isMoved: false });
  });

  test('stays in order of days, with tasks of one’s own among them', () => {
    const own = { ...PLAIN, key: 'own-1', movedTo: calendarDay('2027-03-02'), title: 'Bring spoons' };
    const { tasks } = calendarWithChanges(plan, SURROUNDINGS, [own]);
    expect(tasks.find((one) => one.key === 'own-1')).toMatchObject({ code: 'own', title: 'Bring spoons' });
    const days = tasks.map(({ day }) => day);
    expect(days).toEqual([...days].sort());
  });

  test('a task of one’s own without a day, and a change of a task that is gone, are left out', () => {
    const changes = [
      { ...PLAIN, key: 'own-2', title: 'Some day' },
      { ...PLAIN, key: 'read-99', movedTo: calendarDay('2027-03-02') },
    ];
    const keys = calendarWithChanges(plan, SURROUNDINGS, changes).tasks.map(({ key }) => key);
    expect(keys).not.toContain('own-2');
    expect(keys).not.toContain('read-99');
  });

  test('the helper of the plan waters in a break, unless somebody else is named', () => {
    const helped = { ...plan, calendar: { ...plan.calendar, helper: 'Caretaker' } };
    const waterings = calendarWithChanges(helped, SURROUNDINGS, []).tasks.filter((one) => one.needsHelper);
    expect(waterings.length).toBeGreaterThan(0);
    expect(new Set(waterings.map(({ who }) => who))).toEqual(new Set(['Caretaker']));
    const [first] = waterings;
    const named = { ...PLAIN, key: first!.key, who: 'Ada’s father' };
    expect(task([named], first!.key, helped)?.who).toBe('Ada’s father');
  });

  test('a watering that is moved to a day without class needs the helper there, and one moved back does not', () => {
    const helped = { ...plan, calendar: { ...plan.calendar, helper: 'Caretaker' } };
    const [first] = planCalendar(helped, SURROUNDINGS).tasks.filter(({ code }) => code === 'water');
    const saturday = calendarDay('2027-03-06');
    const moved = task(
      [{ ...PLAIN, key: first!.key, movedTo: saturday, who: undefined as never }],
      first!.key,
      helped,
    );
    expect(moved).toMatchObject({ day: saturday, needsHelper: true, who: 'Caretaker' });
    const inBreak = planCalendar(helped, SURROUNDINGS).tasks.find((one) => one.needsHelper);
    const back = task(
      [{ ...PLAIN, key: inBreak!.key, movedTo: calendarDay('2027-03-05') }],
      inBreak!.key,
      helped,
    );
    expect(back).toMatchObject({ needsHelper: false, who: '' });
  });
});

describe('what is waited for before sowing', () => {
  const conditions = { ...plan.conditions, reactionDays: 3, coldDays: 30 };
  const waits = (changes: readonly TaskChange[], of = { ...plan, conditions }) =>
    waitBeforeSowing(of, calendarWithChanges(of, SURROUNDINGS, changes).tasks);

  test('is over so many days after it was begun, the last of several', () => {
    // Cold from Friday 29 January, as 30 January is a Saturday; the mix is treated on Friday 26 February.
    expect(waits([])).toEqual({ task: 'treat_mix', day: '2027-03-01' });
    const late = { ...PLAIN, key: 'cold', doneOn: calendarDay('2027-02-10') };
    expect(waits([late])).toEqual({ task: 'cold', day: '2027-03-12' });
    expect(waits([], plan)).toBeUndefined();
  });
});
