import { describe, expect, test } from '@jest/globals';
import { calendarDay } from '../shared/index.ts';
import {
  begunWith,
  type Aspect,
  comparedGroups,
  type ContainerKind,
  differingAspects,
  INVESTIGATION_KINDS,
  PLAIN_LEVEL,
  type Plan,
  type PlanLevel,
  plannedUnits,
  renamedChoices,
  seedFacts,
  type SeedLot,
  STARTING_CROPS,
  startingSteps,
  startPlan,
  stepsFromBright,
  treatmentsOf,
  unitsProblem,
  usualContainer,
  usualSteps,
  usualWaterMl,
  withUsualSteps,
} from './index.ts';

const SOW = calendarDay('2027-03-01');
const LESSON = calendarDay('2027-03-29');
const OAT = STARTING_CROPS.find((crop) => crop.id === 'oat')!;

function plan(changes: Partial<Plan> = {}, kind: Plan['kind'] = 'one_factor'): Plan {
  const wish = {
    kind,
    question: 'Why?',
    crop: OAT,
    otherCrops: STARTING_CROPS,
    sowOn: SOW,
    lessonOn: LESSON,
  };
  return { ...startPlan(wish), ...changes };
}

function level(name: string, changes: Partial<PlanLevel> = {}): PlanLevel {
  return { ...PLAIN_LEVEL, name, ...changes };
}

describe('answers to guess at', () => {
  test.each([
    [
      'Changed',
      'With lime',
      ['Changed grows taller', 'changed', 'Unchanged'],
      ['With lime grows taller', 'With lime', 'Unchanged'],
    ],
    ['A+', 'B', ['A+ wins', 'A wins'], ['B wins', 'A wins']],
    ['Sun', '$&', ['Sun first'], ['$& first']],
    ['', 'X', ['Sun first'], ['Sun first']],
    ['Sun', ' ', ['Sun first'], ['Sun first']],
  ])('%s becomes %s where it is named whole', (before, after, choices, wanted) => {
    expect(renamedChoices(choices, before, after)).toEqual(wanted);
  });
});

describe('steps', () => {
  const inOrder = (kind: Plan['kind'], container: ContainerKind = 'pots', hasSoil = true) =>
    startingSteps(kind, { hasSoil }, container)
      .filter(({ when }) => when === 'sowing')
      .map(({ text }) => text);

  test.each(INVESTIGATION_KINDS)('of %s fill before they sow, and sow once', (kind) => {
    const steps = inOrder(kind);
    const fill = steps.findIndex((text) => text.startsWith('Fill'));
    const sow = steps.flatMap((text, at) =>
      /seeds in|Sow each section|Lay each piece/.test(text) ? [at] : [],
    );
    expect(sow).toHaveLength(1);
    expect(fill).toBeGreaterThanOrEqual(0);
    expect(sow[0]).toBeGreaterThan(fill);
    expect(steps.at(-1)).toMatch(/[Ww]ash/);
  });

  test('without soil are those of the vessel', () => {
    expect(inOrder('soil_free', 'bags', false).join(' ')).toMatch(/close the bag/);
    expect(inOrder('soil_free', 'jars', false).join(' ')).toMatch(/between glass and lining/);
    expect(inOrder('soil_free', 'egg_carton', false).join(' ')).not.toMatch(/bag|jar/);
  });

  test('of bags are those of bags, whatever fills the others', () => {
    expect(inOrder('one_factor', 'bags').join(' ')).not.toMatch(/Fill every pot/);
  });

  const level = (name: string, changes: Partial<PlanLevel> = {}): PlanLevel => ({
    ...PLAIN_LEVEL,
    name,
    ...changes,
  });
  const dosed = level('Lime', { dose: { material: 'lime', amount: 2, unit: 'g' } });
  const planOf = (kind: Plan['kind'], aspect: Aspect, levels: PlanLevel[], reactionDays = 0): Plan => {
    const started = startPlan({
      kind,
      question: 'Why?',
      crop: STARTING_CROPS[0]!,
      otherCrops: [],
      sowOn: SOW,
      lessonOn: LESSON,
    });
    const conditions = { ...started.conditions, reactionDays };
    return { ...started, factors: [{ name: 'F', aspect, levels }], conditions };
  };

  test.each([
    [
      'a dose is given on sowing day',
      planOf('one_factor', 'additive', [level('None'), dosed]),
      /what its treatment needs/,
      /mix on its label/,
    ],
    [
      'a dose that was mixed in before is not given again',
      planOf('one_factor', 'additive', [level('None'), dosed], 3),
      /mix on its label/,
      /Give each pot what its treatment needs/,
    ],
    [
      'pots of several mixes are filled with their own',
      planOf('one_factor', 'medium', [level('A', { medium: 'sand' }), level('B', { medium: 'coir' })]),
      /mix on its label/,
      /what its treatment needs/,
    ],
    [
      'waters that differ are not the same water',
      planOf('one_factor', 'water', [level('A', { waterMl: 10 }), level('B', { waterMl: 30 })]),
      /amount on its label/,
      /same measured amount/,
    ],
    [
      'nothing is given where nothing changes',
      startPlan({
        kind: 'watch',
        question: 'Why?',
        crop: STARTING_CROPS[0]!,
        otherCrops: [],
        sowOn: SOW,
        lessonOn: LESSON,
      }),
      /Fill every pot/,
      /what its treatment needs/,
    ],
  ])('%s', (_, plan, said, unsaid) => {
    const texts = usualSteps(plan)
      .map(({ text }) => text)
      .join(' ');
    expect(texts).toMatch(said);
    expect(texts).not.toMatch(unsaid);
  });

  test('of a plan that begins with changes follow these', () => {
    const started = startPlan({
      kind: 'one_factor',
      question: 'Why?',
      crop: STARTING_CROPS[0]!,
      otherCrops: [],
      sowOn: SOW,
      lessonOn: LESSON,
    });
    const factors = planOf('one_factor', 'medium', [
      level('A', { medium: 'sand' }),
      level('B', { medium: 'coir' }),
    ]).factors;
    const begun = begunWith(started, { factors });
    expect(begun.steps).toEqual(usualSteps({ ...started, factors }));
    expect(begun.steps).not.toEqual(started.steps);
    expect(begunWith(started, { steps: [] }).steps).toEqual([]);
  });

  test('follow a change of the plan, until somebody changes them', () => {
    const before = planOf('one_factor', 'additive', [level('None'), dosed]);
    const usual = { ...before, steps: usualSteps(before) };
    const after = { ...usual, conditions: { ...usual.conditions, reactionDays: 3 } };
    expect(withUsualSteps(usual, after).steps).toEqual(usualSteps(after));
    const own = { ...usual, steps: usual.steps.slice(1) };
    expect(withUsualSteps(own, { ...after, steps: own.steps }).steps).toEqual(own.steps);
  });

  test('water is about a tenth of what a place holds, in steps of 5 mL', () => {
    expect([0, 40, 120, 200, 450, 600].map(usualWaterMl)).toEqual([5, 5, 10, 20, 45, 60]);
  });
});

describe('a plan', () => {
  test.each(INVESTIGATION_KINDS)(
    'of kind %s can be laid out for every crop, each unit in its own place',
    (kind) => {
      for (const crop of STARTING_CROPS) {
        const wish = {
          kind,
          question: 'Why?',
          crop,
          otherCrops: STARTING_CROPS,
          sowOn: SOW,
          lessonOn: LESSON,
        };
        const started = startPlan(wish);
        const units = plannedUnits(started);
        const places = new Set(units.map((unit) => `${unit.container}/${unit.row}/${unit.column}`));
        expect([crop.id, unitsProblem(started), places.size]).toEqual([
          crop.id,
          undefined,
          treatmentsOf(started).length * started.replicates,
        ]);
        expect(startPlan(wish)).toEqual(started);
      }
    },
  );

  test('crosses factors, leaves combinations out, and names the control', () => {
    const factors = [
      {
        name: 'Water',
        aspect: 'water' as const,
        levels: [level('Dry', { waterMl: 2 }), level('Wet', { isControl: true })],
      },
      {
        name: 'Light',
        aspect: 'light' as const,
        levels: [level('Sun', { isControl: true }), level('Dark', { light: 'dark' })],
      },
    ];
    const all = treatmentsOf(plan({ factors }));
    expect(all.map(({ code, name, isControl }) => [code, name, isControl])).toEqual([
      ['A', 'Dry · Sun', false],
      ['B', 'Dry · Dark', false],
      ['C', 'Wet · Sun', true],
      ['D', 'Wet · Dark', false],
    ]);
    expect(all[1]?.settings).toMatchObject({ waterMl: 2, light: 'dark' });
    expect(all[2]?.settings).toMatchObject({ waterMl: 10, light: 'bright' });
    const some = plan({ factors, leftOut: ['0.1'] });
    expect(treatmentsOf(some).map(({ name }) => name)).toEqual(['Dry · Sun', 'Wet · Sun', 'Wet · Dark']);
    expect(comparedGroups(some)).toEqual([
      { name: 'Dry', isControl: false, treatments: [0] },
      { name: 'Wet', isControl: true, treatments: [1, 2] },
    ]);
  });

  test('without factors has one treatment, and no control', () => {
    expect(treatmentsOf(plan({ factors: [] }))).toMatchObject([{ code: 'A', isControl: false }]);
  });

  test('of ages is sown backwards from the lesson, over a leap day too', () => {
    const ages = plan({ lessonOn: calendarDay('2028-03-14') }, 'ages');
    expect([...new Set(plannedUnits(ages).map((unit) => unit.sowOn))].sort()).toEqual([
      '2028-02-22',
      '2028-02-29',
      '2028-03-07',
      '2028-03-13',
    ]);
  });

  test('fills one container after the other', () => {
    const containers = [usualContainer('egg_carton'), usualContainer('flat')];
    const units = plannedUnits(plan({ containers, replicates: 9 }));
    expect(units.filter((unit) => unit.container === 0)).toHaveLength(12);
    expect(units.filter((unit) => unit.container === 1)).toHaveLength(6);
    expect(unitsProblem(plan({ containers, replicates: 12 }))).toEqual({
      code: 'more_units_than_places',
      units: 24,
      places: 22,
    });
  });

  test('knows in what its levels differ', () => {
    const levels = [level('Little', { waterMl: 3, light: 'dark' }), level('Much', { waterMl: 9 })];
    expect(differingAspects({ name: 'Water', aspect: 'water', levels })).toEqual(['water', 'light']);
  });
});

test.each([
  ['top', 1, 2, 0],
  ['bottom', 1, 2, 2],
  ['left', 1, 2, 1],
  ['right', 1, 2, 3],
  ['none', 1, 2, 0],
] as const)('steps from a bright %s', (brightSide, row, column, steps) => {
  expect(stepsFromBright({ row, column }, { rows: 3, columns: 5, brightSide })).toBe(steps);
});

describe('a seed lot', () => {
  const lot: SeedLot = {
    id: 'l',
    cropId: 'oat',
    name: 'Blue packet',
    germinationPercent: 80,
    depthMm: 30,
    daysToEmergence: { min: 5, max: 9 },
    spacingMm: null,
    seedsPerPacket: 100,
    packedOn: null,
    tests: [],
  };

  test('wins over the crop where it says something', () => {
    expect(seedFacts(OAT, lot, SOW)).toEqual({
      rate: { share: 0.8, low: null, high: null, seeds: null, source: 'packet' },
      daysToEmergence: { min: 5, max: 9 },
      depthMm: 30,
      spacingMm: OAT.spacingMm,
    });
    expect(seedFacts(OAT, undefined, SOW)).toMatchObject({
      rate: { share: (OAT.germinationPercent ?? 0) / 100, source: 'typical' },
      depthMm: OAT.sowingDepthMm,
    });
  });

  test.each([
    ['2026-03-02', 0.8, 'packet'],
    ['2025-02-01', 0.72, 'aged'],
    ['2023-02-01', 0.8 * 0.9 ** 3, 'aged'],
  ])('packed on %s comes up at %p', (packedOn, share, source) => {
    const facts = seedFacts(OAT, { ...lot, packedOn: calendarDay(packedOn) }, SOW);
    expect(facts.rate?.share).toBeCloseTo(share, 12);
    expect(facts.rate?.source).toBe(source);
  });

  test('learns from the class’s own tests: (8 + 10) of (10 + 40)', () => {
    const tests = [
      { on: SOW, sown: 30, up: 8 },
      { on: SOW, sown: 10, up: 2 },
    ];
    const { rate } = seedFacts(OAT, { ...lot, tests }, SOW);
    expect(rate?.share).toBeCloseTo(18 / 50, 12);
    expect(rate?.source).toBe('tested');
    expect(rate!.low! < rate!.share && rate!.share < rate!.high!).toBe(true);
  });

  test('of a crop without figures has none, until it is tested', () => {
    const bare = { ...OAT, germinationPercent: null };
    const nothing = { ...lot, germinationPercent: null };
    expect(seedFacts(bare, nothing, SOW).rate).toBeNull();
    expect(
      seedFacts(bare, { ...nothing, tests: [{ on: SOW, sown: 10, up: 10 }] }, SOW).rate?.share,
    ).toBeCloseTo(10.5 / 11, 12);
    const source = (crop: typeof OAT, germinationPercent: number | null) =>
      seedFacts(crop, { ...lot, germinationPercent, tests: [{ on: SOW, sown: 10, up: 6 }] }, SOW).rate
        ?.source;
    // What nobody said is not named.
    expect([source(bare, null), source(OAT, null), source(OAT, 80)]).toEqual([
      'tested_alone',
      'tested_usual',
      'tested',
    ]);
  });

  test('is never above both tests that differ by more than chance: 6 of 60 and 8 of 20 beside a packet of 90', () => {
    const tests = [
      { on: SOW, sown: 60, up: 6 },
      { on: SOW, sown: 20, up: 8 },
    ];
    const { rate } = seedFacts(OAT, { ...lot, germinationPercent: 90, packedOn: null, tests }, SOW);
    // Nearly (9 + 14) of (10 + 80), as the packet loses as much weight as its seeds.
    expect(Math.abs(rate!.share - 23 / 90)).toBeLessThan(0.01);
    expect(rate!.low!).toBeLessThan(0.1);
    expect(rate!.high!).toBeGreaterThan(0.4);
  });
});
