import { expect, test } from '@jest/globals';
import { startPlan, STARTING_CROPS } from '../design/index.ts';
import { calendarDay } from '../shared/index.ts';
import { movedDays, planCalendar } from './index.ts';

const plan = startPlan({
  ...{ kind: 'one_factor', question: 'Why?', otherCrops: STARTING_CROPS },
  crop: STARTING_CROPS.find(({ id }) => id === 'oat')!,
  ...{ sowOn: calendarDay('2027-03-01'), lessonOn: calendarDay('2027-03-29') },
});
const calendar = (changes: Partial<typeof plan.calendar>) =>
  planCalendar({ ...plan, calendar: { ...plan.calendar, ...changes } }, { crops: STARTING_CROPS, lots: [] });

test('a day that falls away is named with the one that came in its place', () => {
  const before = calendar({});
  expect(movedDays(before, before)).toEqual([]);
  const week = { name: 'Trip', from: calendarDay('2027-03-15'), to: calendarDay('2027-03-19') };
  const moved = movedDays(before, calendar({ holidays: [week] }));
  expect(moved.length).toBeGreaterThan(0);
  const isIn = (day: string | null) => day !== null && day >= week.from && day <= week.to;
  for (const { task, to } of moved) if (task === 'read') expect(isIn(to)).toBe(false);
  expect(moved.some(({ task, from }) => task === 'read' && isIn(from))).toBe(true);
  const back = movedDays(calendar({ holidays: [week] }), before);
  expect(back.map(({ task, from, to }) => ({ task, from: to, to: from }))).toEqual(moved);
});

test('more days than before have none that they replace', () => {
  const tasks = (days: readonly string[]) => ({
    tasks: days.map((day) => ({
      ...{ key: day, code: 'water' as const, day: calendarDay(day) },
      ...{ treatments: [], needsHelper: false, isOwn: false },
    })),
  });
  expect(movedDays(tasks(['2027-03-02']) as never, tasks(['2027-03-03', '2027-03-05']) as never)).toEqual([
    { task: 'water', from: '2027-03-02', to: '2027-03-03' },
    { task: 'water', from: null, to: '2027-03-05' },
  ]);
});
