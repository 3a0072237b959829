import { expect, test } from '@jest/globals';
import { INVESTIGATION_KINDS, plannedUnits, STARTING_CROPS } from '../design/index.ts';
import { reviewPlan } from '../review/index.ts';
import { addDays, calendarDay } from '../shared/index.ts';
import { planFromTemplate, STARTING_TEMPLATES } from './index.ts';

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
    const wish = { question, crop, otherCrops: STARTING_CROPS, sowOn, lessonOn };
    const plan = planFromTemplate({ kind, changes }, wish);
    const units = plannedUnits(plan).map((unit) => ({ ...unit, team: '' }));
    const found = reviewPlan({ plan, units, today: TODAY, crops: STARTING_CROPS, lots: [] });
    const isExpected = (code: string): boolean => code === 'lined_up' && plan.containers.length > 1;
    expect(
      found.filter(({ severity, facts }) => ['stops'].includes(severity) && !isExpected(facts.code)),
    ).toEqual([]);
    const isMeant = (code: string): boolean =>
      code === 'too_few_of_combination' ||
      (kind === 'pieces' && ['pots_stay_empty', 'not_ready_by_lesson'].includes(code));
    const weak = found.filter(({ severity, facts }) => severity === 'weakens' && !isMeant(facts.code));
    expect(weak).toEqual([]);
    expect(found.map(({ facts }) => facts.code)).not.toContain('water_far_off');
  },
);
