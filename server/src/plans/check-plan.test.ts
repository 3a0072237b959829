import { type Plan, startPlan, STARTING_CROPS, usualContainer } from '@bright-sprout/core/design';
import { calendarDay } from '@bright-sprout/core/shared';
import { describe, expect, test } from '@jest/globals';
import { firstSowing, fixedDifferences, lessonProblem } from './check-plan.ts';

function plan(changes: Partial<Plan> = {}, kind: Plan['kind'] = 'one_factor'): Plan {
  const started = startPlan({
    kind,
    question: 'Why?',
    crop: STARTING_CROPS[4]!,
    otherCrops: STARTING_CROPS,
    sowOn: calendarDay('2027-03-01'),
    lessonOn: calendarDay('2027-03-29'),
  });
  return { ...started, ...changes };
}

describe('what is fixed once seeds are in the soil', () => {
  const [factor] = plan().factors;
  const level = factor!.levels[1]!;
  const withLevel = (changes: object): Plan =>
    plan({ factors: [{ ...factor!, levels: [factor!.levels[0]!, { ...level, ...changes }] }] });

  test.each([
    ['the question', { question: 'Another?' }],
    ['the steps', { steps: [] }],
    ['the lesson', { lessonOn: calendarDay('2027-04-05') }],
    ['the packet', { lotId: '01a20970-c851-75ac-9b96-a433a9a00c6b' }],
    ['the name of a container', { containers: [{ ...plan().containers[0]!, name: 'By the door' }] }],
  ] as const)('not %s', (_, changes) => {
    expect(fixedDifferences(plan(), plan(changes))).toEqual([]);
  });

  test('not the order in which a level’s settings were sent', () => {
    const turned = Object.fromEntries(Object.entries(level).reverse());
    expect(fixedDifferences(plan(), withLevel(turned))).toEqual([]);
  });

  test('not the name of a level, but what it sets', () => {
    expect(fixedDifferences(plan(), withLevel({ name: 'Renamed' }))).toEqual([]);
    expect(fixedDifferences(plan(), withLevel({ waterMl: 3 }))).toEqual(['what is changed']);
    expect(fixedDifferences(plan(), withLevel({ isControl: true }))).toEqual(['what is changed']);
  });

  test.each([
    [{ cropId: 'pea' }, ['the crop']],
    [{ replicates: 4, seedsPerUnit: 3 }, ['the number of pots', 'the seeds in a pot']],
    [{ containers: [usualContainer('cups')] }, ['the containers']],
    [{ layoutSeed: 9, layoutMethod: 'blocks' as const }, ['the layout']],
    [{ measure: { variable: 'leaves' as const, unit: 'leaves' as const, step: 1 } }, ['what is read']],
    [{ sowOn: calendarDay('2027-03-02') }, ['the sowing date']],
  ])('%j', (changes, words) => {
    expect(fixedDifferences(plan(), plan(changes))).toEqual(words);
  });
});

test('the first sowing of an age ladder is its eldest’s', () => {
  expect(firstSowing(plan({}, 'ages'))).toBe('2027-03-08');
  expect(firstSowing(plan())).toBe('2027-03-01');
});

test.each([
  ['2027-03-01', 'The lesson comes after the sowing date.'],
  ['2027-02-01', 'The lesson comes after the sowing date.'],
  ['2029-03-01', 'That is more than a year after sowing: check the year.'],
  ['2027-03-02', undefined],
])('a lesson on %s', (lessonOn, problem) => {
  expect(lessonProblem('2027-03-01', lessonOn)).toBe(problem);
});
