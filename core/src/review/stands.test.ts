import { describe, expect, test } from '@jest/globals';
import {
  PLAIN_LEVEL,
  type Plan,
  plannedUnits,
  startPlan,
  STARTING_CROPS,
  standsOf,
  treatmentsOf,
  usualContainer,
  withOwnContainers,
} from '../design/index.ts';
import { calendarDay } from '../shared/index.ts';
import { reviewPlan } from './index.ts';

const SURROUNDINGS = { crops: STARTING_CROPS, lots: [], today: calendarDay('2027-03-01') };

function planWith(
  levels: Partial<Plan['factors'][number]['levels'][number]>[],
  changes: Partial<Plan> = {},
): Plan {
  const started = startPlan({
    ...{ kind: 'one_factor', question: 'Why?', crop: STARTING_CROPS[0]!, otherCrops: [] },
    ...{ sowOn: calendarDay('2027-03-08'), lessonOn: calendarDay('2027-04-12') },
  });
  const named = levels.map((level, at) => ({ ...PLAIN_LEVEL, name: `Level ${at + 1}`, ...level }));
  return { ...started, factors: [{ name: 'Place', aspect: 'temperature', levels: named }], ...changes };
}

function codesOf(plan: Plan): string[] {
  return findingsOf(plan).map(({ facts }) => facts.code);
}

function findingsOf(plan: Plan) {
  const units = plannedUnits(plan).map((unit) => ({ ...unit, team: '' }));
  return reviewPlan({ ...SURROUNDINGS, plan, units });
}

const HALL = [{}, { temperatureC: 10 }];
const CUPBOARD = [{}, { light: 'dark' as const }];
const HOOD = [{}, { light: 'shade' as const }];

describe('levels that need different places', () => {
  test.each([
    ['warm and cold', HALL, 2],
    ['light and dark', CUPBOARD, 2],
    ['a hood on some pots', HOOD, 1],
    ['three rooms', [{}, { temperatureC: 15 }, { temperatureC: 8 }], 3],
  ] as const)('%s stand in so many places', (_, levels, stands) => {
    expect(standsOf(planWith([...levels]))).toHaveLength(stands);
  });

  test('share no container: the check says so, and its mend gives each place its own', () => {
    const shared = planWith(HALL);
    const found = findingsOf(shared).find(({ facts }) => facts.code === 'stands_share_container');
    expect(found?.severity).toBe('stops');
    const mended = { ...shared, ...found!.mend!.changes };
    expect(mended.containers).toHaveLength(2);
    const ofContainer = (at: number) =>
      new Set(
        plannedUnits(mended)
          .filter(({ container }) => container === at)
          .map(({ treatment }) => treatment),
      );
    expect([[...ofContainer(0)], [...ofContainer(1)]]).toEqual([[0], [1]]);
    expect(plannedUnits(mended).map(({ number }) => number)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10]);
    const codes = codesOf(mended);
    expect(codes).toContain('stand_is_treatment');
    for (const code of ['stands_share_container', 'lined_up', 'layout_uneven', 'layout_mixed'])
      expect(codes).not.toContain(code);
  });

  test('in containers of other kinds: the check says so, and its mend gives all the first kind', () => {
    const plan = planWith(HALL, { containers: [usualContainer('flat'), usualContainer('bags')] });
    const found = findingsOf(plan).find(({ facts }) => facts.code === 'stand_has_own_container');
    expect(found).toMatchObject({ severity: 'weakens', facts: { kinds: ['flat', 'bags'] } });
    const mended = { ...plan, ...found!.mend!.changes };
    expect(mended.containers.map(({ kind }) => kind)).toEqual(['flat', 'flat']);
    expect(codesOf(mended)).not.toContain('stand_has_own_container');
  });

  test('get containers of their own as soon as they are chosen, once', () => {
    const before = planWith([{}, {}]);
    const after = withOwnContainers(before, planWith(CUPBOARD));
    expect(after.containers).toHaveLength(2);
    const single = { ...after, containers: [usualContainer('flat')] };
    expect(withOwnContainers(after, single)).toBe(single);
  });

  test('crossed with something else are as mixed within each place as one flat is', () => {
    const crossed = planWith(HALL);
    const water = {
      ...{ name: 'Water', aspect: 'water' as const },
      levels: [5, 10].map((waterMl) => ({ ...PLAIN_LEVEL, name: `${waterMl} mL`, waterMl })),
    };
    const plan = {
      ...crossed,
      factors: [...crossed.factors, water],
      containers: [usualContainer('flat'), usualContainer('flat')],
    };
    expect(treatmentsOf(plan)).toHaveLength(4);
    const codes = codesOf(plan);
    expect(codes).toContain('stand_is_treatment');
    expect(codes).not.toContain('layout_uneven');
    expect(codes).not.toContain('lined_up');
  });
});
