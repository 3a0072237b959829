import { describe, expect, test } from '@jest/globals';
import { type Plan, startPlan, STARTING_CROPS } from '../design/index.ts';
import { calendarDay, type ReadingState } from '../shared/index.ts';
import {
  doubts,
  fastestGrowthMm,
  growthFacts,
  type JustRead,
  mostPossibleMm,
  readingTolerance,
  type UnitDay,
} from './index.ts';

const CROP = { daysToEmergence: { min: 5, max: 10 }, heightAtDay21Mm: 160, matureHeightMm: 400 };

function found(day: string, value: number | null, state: ReadingState = 'emerged'): UnitDay {
  return { unitId: 'u', day: calendarDay(day), state, value, readings: 1 };
}

function read(valueMm: number, changes: Partial<JustRead> = {}): string[] {
  return doubts({
    valueMm,
    day: calendarDay('2026-05-14'),
    today: calendarDay('2026-05-14'),
    history: [found('2026-05-12', 62)],
    sownOn: calendarDay('2026-05-01'),
    scale: { unit: 'cm', step: 0.5 },
    crop: CROP,
    readingErrorMm: null,
    before: [],
    ...changes,
  }).map((doubt) => doubt.code);
}

describe('a 0', () => {
  test.each([
    ['of a pot that was never read', [], ['never_up']],
    ['of a pot that was not up', [found('2026-05-12', null, 'not_emerged')], ['never_up']],
    ['of a pot that was up', [found('2026-05-12', 40)], ['shrank']],
  ])('%s', (_, history, codes) => {
    expect(read(0, { history })).toEqual(codes);
  });
});

describe('what is known of the plants', () => {
  const started = (changes: Partial<Plan> = {}): Plan => ({
    ...startPlan({
      kind: 'crops',
      question: 'Which?',
      crop: STARTING_CROPS.find(({ id }) => id === 'cress')!,
      otherCrops: STARTING_CROPS.filter(({ id }) => id === 'sunflower'),
      sowOn: calendarDay('2027-03-01'),
      lessonOn: calendarDay('2027-03-29'),
    }),
    ...changes,
  });
  const factsOf = (plan: Plan | null, treatment: number) =>
    growthFacts(
      plan,
      treatment,
      STARTING_CROPS,
      STARTING_CROPS.find(({ id }) => id === 'pea')!,
    );

  test('is of each treatment’s own crop, and of the only one without a plan', () => {
    const matures = [0, 1].map((treatment) => factsOf(started(), treatment)?.matureHeightMm);
    const of = (id: string) => STARTING_CROPS.find((crop) => crop.id === id)?.matureHeightMm;
    expect(matures).toEqual([of('cress'), of('sunflower')]);
    expect(factsOf(null, 0)?.matureHeightMm).toBe(of('pea'));
    expect(growthFacts(null, 0, [], null)).toBeNull();
  });

  test('plants that were set in grown are not doubted for being tall at once, only for being impossible', () => {
    const { conditions } = started();
    const facts = factsOf(started({ conditions: { ...conditions, startsAs: 'bought' } }), 1);
    const tall = { history: [], sownOn: calendarDay('2026-05-13'), crop: facts };
    expect(read(400, tall)).toEqual([]);
    expect(read(400, { ...tall, crop: factsOf(started(), 1) })).toContain('too_early');
    expect(read(9000, tall).length).toBeGreaterThan(0);
  });

  test('a height is possible up to three times the full height, and never refused below 60 cm', () => {
    expect(mostPossibleMm({ matureHeightMm: 400 })).toBe(1200);
    expect(mostPossibleMm({ matureHeightMm: 120 })).toBe(600);
    expect(mostPossibleMm({ matureHeightMm: null })).toBeNull();
    expect(mostPossibleMm(null)).toBeNull();
  });
});

describe('while the plant is still there', () => {
  test('a height that fits is not doubted', () => {
    expect(read(75)).toEqual([]);
    expect(read(62)).toEqual([]);
  });

  test('growth is doubted above three times the mean of the first weeks', () => {
    expect(fastestGrowthMm(CROP)).toBe(30);
    expect(fastestGrowthMm(null)).toBe(30);
    expect(read(127)).toEqual([]);
    expect(read(128)).toEqual(['other_unit', 'grew_too_fast'].slice(1));
  });

  test('a plant shrinks by more than the reading error only', () => {
    expect(read(57)).toEqual([]);
    expect(read(56)).toEqual(['shrank']);
    expect(read(56, { readingErrorMm: 3 })).toEqual([]);
    expect(readingTolerance({ unit: 'cm', step: 0.5 }, 3)).toBeCloseTo(8.485, 3);
  });

  test('a point in the wrong place is named before its consequences', () => {
    expect(read(680)[0]).toBe('ten_times');
    expect(read(6.8)).toEqual(['ten_times', 'shrank']);
  });

  test('inches among centimetres, and centimetres among inches', () => {
    expect(read(26)).toEqual(['other_unit', 'shrank']);
    expect(read(70 * 2.54, { scale: { unit: 'in', step: 0.25 } })[0]).toBe('other_unit');
    expect(doubtsOf(26)).toMatchObject({ readAs: 'in', likelyMm: 66.04 });
  });

  test('taller than the crop gets', () => {
    expect(read(640, { history: [found('2026-05-12', 590)] })).toContain('too_tall');
  });

  test('a value above a pot that was dead, removed or not up', () => {
    expect(read(62, { history: [found('2026-05-12', null, 'dead')] })).toEqual(['was_gone']);
    expect(read(90, { history: [found('2026-05-12', null, 'not_emerged')] })).toEqual([
      'ten_times',
      'grew_too_fast',
    ]);
    expect(read(50, { history: [found('2026-05-12', null, 'not_emerged')] })).toEqual([]);
  });

  test('something to see long before the crop comes up', () => {
    expect(
      read(4, { day: calendarDay('2026-05-03'), today: calendarDay('2026-05-03'), history: [] }),
    ).toEqual(['too_early']);
  });

  test('another day, and one value for all', () => {
    expect(read(75, { today: calendarDay('2026-05-15') })).toEqual(['other_day']);
    expect(read(75, { before: [75, 75, 75] })).toEqual(['same_for_all']);
    expect(read(75, { before: [75, 74, 75] })).toEqual([]);
  });
});

function doubtsOf(valueMm: number) {
  return doubts({
    valueMm,
    day: calendarDay('2026-05-14'),
    today: calendarDay('2026-05-14'),
    history: [found('2026-05-12', 62)],
    sownOn: null,
    scale: { unit: 'cm', step: 0.5 },
    crop: null,
    readingErrorMm: null,
    before: [],
  })[0];
}
