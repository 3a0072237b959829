import { expect, test } from '@jest/globals';
import { INVESTIGATION_KINDS, plannedUnits, startPlan, STARTING_CROPS } from '../design/index.ts';
import { reviewPlan } from '../review/index.ts';
import { addDays, calendarDay } from '../shared/index.ts';
import { STARTING_TEMPLATES } from './index.ts';

const TODAY = calendarDay('2027-03-01');

test('there is a template of every kind, and ids differ', () => {
  expect(new Set(STARTING_TEMPLATES.map((template) => template.kind))).toEqual(new Set(INVESTIGATION_KINDS));
  expect(new Set(STARTING_TEMPLATES.map((template) => template.id)).size).toBe(STARTING_TEMPLATES.length);
  expect(STARTING_TEMPLATES.length).toBeGreaterThanOrEqual(12);
});

test.each(STARTING_TEMPLATES.map((template) => [template.id, template] as const))(
  '%s is a design that can answer its question',
  (_, { kind, cropId, question, days, changes }) => {
    const crop = STARTING_CROPS.find((one) => one.id === cropId)!;
    const sowOn = calendarDay('2027-03-08');
    const lessonOn = addDays(sowOn, days);
    const plan = {
      ...startPlan({ kind, question, crop, otherCrops: STARTING_CROPS, sowOn, lessonOn }),
      ...changes,
    };
    const units = plannedUnits(plan).map((unit) => ({ ...unit, team: '' }));
    const found = reviewPlan({ plan, units, today: TODAY, crops: STARTING_CROPS, lots: [] });
    const isExpected = (code: string): boolean => code === 'lined_up' && plan.containers.length > 1;
    expect(
      found.filter(({ severity, facts }) => ['stops'].includes(severity) && !isExpected(facts.code)),
    ).toEqual([]);
  },
);
