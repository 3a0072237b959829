import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { kitsOf, materialsOf } from '../amounts/index.ts';
import { type PlanCalendar, planCalendar } from '../calendar/index.ts';
import {
  type Aspect,
  ASPECTS,
  begunWith,
  type Closing,
  CONTAINER_KINDS,
  type ContainerKind,
  type Dose,
  grownCrops,
  INVESTIGATION_KINDS,
  type InvestigationKind,
  kindsOfUnit,
  plannedUnits,
  PLAIN_LEVEL,
  type Plan,
  type PlanFactor,
  type PlanLevel,
  startPlan,
  STARTING_CROPS,
  treatmentsOf,
  type UnitPlan,
  unitPlans,
  usualContainer,
  usualSteps,
} from '../design/index.ts';
import { reviewPlan } from '../review/index.ts';
import { addDays, calendarDay } from '../shared/index.ts';
import { doseText, potSowing, SET_IN_WORDS, unitNoun } from './index.ts';

const KNOWN = { crops: STARTING_CROPS, lots: [] };
const SOW = calendarDay('2027-03-08');
const LESSON = calendarDay('2027-04-12');
const TODAY = calendarDay('2027-03-01');

function cropOf(id: string) {
  const crop = STARTING_CROPS.find((one) => one.id === id);
  if (!crop) throw new Error(id);
  return crop;
}

function level(name: string, changes: Partial<PlanLevel> = {}): PlanLevel {
  return { ...PLAIN_LEVEL, name, ...changes };
}

function factor(aspect: Aspect, ...levels: PlanLevel[]): PlanFactor {
  return { name: aspect, aspect, levels };
}

function giving(name: string, material: string, amount: number, unit: Dose['unit']): PlanLevel {
  return level(name, { dose: { material, amount, unit } });
}

type Changes = Omit<Partial<Plan>, 'conditions'> & {
  readonly conditions?: Partial<Plan['conditions']>;
  readonly container?: ContainerKind;
};

function planOf(kind: InvestigationKind, cropId: string, changes: Changes = {}): Plan {
  const started = startPlan({
    ...{ kind, question: 'Why?', crop: cropOf(cropId), otherCrops: STARTING_CROPS },
    ...{ sowOn: SOW, lessonOn: LESSON },
  });
  const { conditions, container, ...others } = changes;
  return begunWith(started, {
    ...others,
    conditions: { ...started.conditions, ...conditions },
    ...(container ? { containers: [usualContainer(container)] } : {}),
  });
}

/** What is done to a pot of each treatment, written down by hand. */
type Done = readonly [
  crop: string,
  seeds: number,
  depthMm: number | null,
  medium: string,
  dose: string,
  waterMl: number,
];

interface Activity {
  readonly name: string;
  readonly plan: Plan;
  readonly done: readonly Done[];
  readonly closing?: Closing;
  /** When doses are given; left out where none is. */
  readonly given?: 'before' | 'sowing' | 'watering';
  readonly isThinned?: boolean;
}

const MIX = 'seed-starting mix';
const TOWEL = 'folded damp paper towel in a bag';

const ACTIVITIES: readonly Activity[] = [
  {
    name: 'chickpeas are watched',
    plan: planOf('watch', 'chickpea'),
    done: [['Chickpea', 2, 30, MIX, '', 20]],
    isThinned: true,
  },
  {
    name: 'cold tea on barley',
    plan: planOf('one_factor', 'barley', {
      factors: [
        factor('additive', giving('none', 'cold tea', 0, 'mL'), giving('some', 'cold tea', 15, 'mL')),
      ],
    }),
    done: [
      ['Barley', 2, 25, MIX, '', 10],
      ['Barley', 2, 25, MIX, '15 mL of cold tea', 10],
    ],
    ...{ given: 'sowing', isThinned: true },
  },
  {
    name: 'chalk mixed in three days before',
    plan: planOf('one_factor', 'kale', {
      factors: [factor('additive', level('none'), giving('chalk', 'chalk', 2, 'g'))],
      conditions: { reactionDays: 3 },
    }),
    done: [
      ['Kale', 2, 12, MIX, '', 10],
      ['Kale', 2, 12, MIX, '2 g of chalk', 10],
    ],
    ...{ given: 'before', isThinned: true },
  },
  {
    name: 'feed in the water',
    plan: planOf('one_factor', 'spinach', {
      factors: [factor('additive', level('none'), giving('fed', 'seaweed feed', 5, 'mL/L'))],
    }),
    done: [
      ['Spinach', 2, 12, MIX, '', 10],
      ['Spinach', 2, 12, MIX, '5 mL of seaweed feed in each litre of its water', 10],
    ],
    ...{ given: 'watering', isThinned: true },
  },
  {
    name: 'more and less water',
    plan: planOf('one_factor', 'clover', {
      factors: [factor('water', level('usual'), level('double', { waterMl: 20 }))],
    }),
    done: [
      ['White clover', 2, 5, MIX, '', 10],
      ['White clover', 2, 5, MIX, '', 20],
    ],
    isThinned: true,
  },
  {
    name: 'half of the mix is sand',
    plan: planOf('one_factor', 'coriander', {
      factors: [
        factor(
          'medium',
          level('mix', { medium: 'potting mix' }),
          level('sandy', { medium: 'half sand, half potting mix' }),
        ),
      ],
    }),
    done: [
      ['Coriander', 2, 12, 'potting mix', '', 10],
      ['Coriander', 2, 12, 'half sand, half potting mix', '', 10],
    ],
    isThinned: true,
  },
  {
    name: 'light and dark',
    plan: planOf('one_factor', 'lentil', {
      factors: [factor('light', level('window'), level('cupboard', { light: 'dark' }))],
    }),
    done: [
      ['Lentil', 2, 20, MIX, '', 10],
      ['Lentil', 2, 20, MIX, '', 10],
    ],
    isThinned: true,
  },
  {
    name: 'a cover that stays on',
    plan: planOf('one_factor', 'white-mustard', {
      factors: [factor('cover', level('open', { isCovered: false }), level('lid', { isCovered: true }))],
      conditions: { cover: 'none' },
    }),
    done: [
      ['White mustard', 2, 5, MIX, '', 10],
      ['White mustard', 2, 5, MIX, '', 10],
    ],
    ...{ closing: 'covered', isThinned: true },
  },
  {
    name: 'deep and shallow',
    plan: planOf('one_factor', 'pea', {
      factors: [factor('depth', level('shallow', { depthMm: 10 }), level('deep', { depthMm: 60 }))],
    }),
    done: [
      ['Garden pea', 2, 10, MIX, '', 10],
      ['Garden pea', 2, 60, MIX, '', 10],
    ],
    isThinned: true,
  },
  {
    name: 'warm and cool',
    plan: planOf('one_factor', 'radish', {
      factors: [factor('temperature', level('room'), level('hall', { temperatureC: 12 }))],
    }),
    done: [
      ['Radish', 2, 12, MIX, '', 10],
      ['Radish', 2, 12, MIX, '', 10],
    ],
    isThinned: true,
  },
  {
    name: 'acid and chalk, crossed',
    plan: planOf('crossed', 'kale', {
      factors: [
        factor(
          'additive',
          giving('no juice', 'lemon juice', 0, 'mL'),
          giving('juice', 'lemon juice', 10, 'mL'),
        ),
        factor('additive', giving('no chalk', 'chalk', 0, 'tablet'), giving('chalk', 'chalk', 1, 'tablet')),
      ],
    }),
    done: [
      ['Kale', 2, 12, MIX, '', 20],
      ['Kale', 2, 12, MIX, '1 tablet of chalk', 20],
      ['Kale', 2, 12, MIX, '10 mL of lemon juice', 20],
      ['Kale', 2, 12, MIX, '10 mL of lemon juice + 1 tablet of chalk', 20],
    ],
    ...{ given: 'sowing', isThinned: true },
  },
  {
    name: 'a crowd of chia',
    plan: planOf('density', 'chia', {
      factors: [factor('density', level('one', { plants: 1 }), level('nine', { plants: 9 }))],
    }),
    done: [
      ['Chia', 2, 2, MIX, '', 10],
      ['Chia', 18, 2, MIX, '', 10],
    ],
    isThinned: true,
  },
  {
    name: 'oats beside peas',
    plan: planOf('crops', 'oat', {
      factors: [
        factor(
          'crop',
          level('oat', { cropId: 'oat', seeds: 20, plants: 20 }),
          level('pea', { cropId: 'pea', seeds: 3 }),
        ),
      ],
    }),
    done: [
      ['Oat', 20, 25, MIX, '', 10],
      ['Garden pea', 3, 25, MIX, '', 10],
    ],
    isThinned: true,
  },
  {
    name: 'four ages',
    plan: planOf('ages', 'radish'),
    done: Array.from({ length: 4 }, (): Done => ['Radish', 3, 12, MIX, '', 5]),
    isThinned: true,
  },
  {
    name: 'a packet is tested',
    plan: planOf('packet_test', 'carrot'),
    done: [['Carrot', 5, 6, MIX, '', 5]],
  },
  {
    name: 'sorted in water',
    plan: planOf('sorting', 'lentil'),
    done: [
      ['Lentil', 4, 20, MIX, '', 5],
      ['Lentil', 4, 20, MIX, '', 5],
    ],
  },
  {
    name: 'beans in bags',
    plan: planOf('soil_free', 'bush-bean'),
    done: [
      ['Bush bean', 5, null, TOWEL, '', 0],
      ['Bush bean', 5, null, 'damp cotton in a bag', '', 0],
    ],
    closing: 'sealed',
  },
  {
    name: 'bags of salt water',
    plan: planOf('soil_free', 'cress', {
      factors: [factor('additive', level('none'), giving('salty', 'table salt', 5, 'g/L'))],
    }),
    done: [
      ['Garden cress', 5, null, TOWEL, '', 0],
      ['Garden cress', 5, null, TOWEL, '5 g of table salt in each litre of its water', 0],
    ],
    ...{ closing: 'sealed', given: 'watering' },
  },
  {
    name: 'jars of beans',
    plan: planOf('soil_free', 'bush-bean', { container: 'jars', replicates: 3 }),
    done: [
      ['Bush bean', 5, null, TOWEL, '', 15],
      ['Bush bean', 5, null, 'damp cotton in a bag', '', 15],
    ],
  },
  {
    name: 'three crops in a pan',
    plan: planOf('sections', 'cress'),
    done: [
      ['Garden cress', 20, 0, MIX, '', 60],
      [STARTING_CROPS[0]!.commonName, 20, 0, MIX, '', 60],
      [STARTING_CROPS[1]!.commonName, 20, 0, MIX, '', 60],
    ],
  },
  {
    name: 'pieces of potato',
    plan: planOf('pieces', 'potato'),
    done: [
      ['Potato', 1, 75, MIX, '', 45],
      ['Potato', 1, 75, MIX, '', 45],
    ],
    closing: 'open',
  },
  {
    name: 'a race to the mark',
    plan: planOf('challenge', 'sunflower'),
    done: [['Sunflower', 2, 25, MIX, '', 20]],
    isThinned: true,
  },
  {
    name: 'bought tomatoes',
    plan: planOf('one_factor', 'tomato', {
      seedsPerUnit: 1,
      conditions: { startsAs: 'bought', cover: 'none' },
    }),
    done: [
      ['Tomato', 1, null, MIX, '', 10],
      ['Tomato', 1, null, MIX, '', 10],
    ],
    closing: 'open',
  },
  {
    name: 'tomatoes put up, two thirds of the stem buried',
    plan: planOf('one_factor', 'tomato', {
      seedsPerUnit: 1,
      conditions: { startsAs: 'bought', cover: 'none', setIn: 'two_thirds' },
    }),
    done: [
      ['Tomato', 1, null, MIX, '', 10],
      ['Tomato', 1, null, MIX, '', 10],
    ],
    closing: 'open',
  },
  {
    name: 'crops in the rows of a crate',
    plan: planOf('crops', 'carrot', { container: 'box_rows', replicates: 3 }),
    done: [
      ['Carrot', 2, 6, MIX, '', 10],
      [STARTING_CROPS[0]!.commonName, 2, 25, MIX, '', 10],
    ],
    isThinned: true,
  },
  {
    name: 'cuttings of basil',
    plan: planOf('one_factor', 'basil', {
      seedsPerUnit: 1,
      conditions: { startsAs: 'cuttings', stemMm: 30 },
    }),
    done: [
      ['Sweet basil', 1, 30, MIX, '', 10],
      ['Sweet basil', 1, 30, MIX, '', 10],
    ],
  },
];

function codesOf({ tasks }: PlanCalendar): Set<string> {
  return new Set(tasks.map(({ code }) => code));
}

const ofPlan = (plan: Plan): UnitPlan[] => kindsOfUnit(plan, KNOWN);
const SOIL_STEP = /fill (every pot|the pan|the crate)|water each/i;
const SEALED_STEP = /close the bag/i;

describe.each(ACTIVITIES)('$name', ({ plan, done, closing = 'until_up', given, isThinned = false }) => {
  const units = ofPlan(plan);
  const sowings = treatmentsOf(plan).map((treatment) =>
    potSowing(plan, treatment, plan.containers[0], KNOWN),
  );
  const calendar = planCalendar(plan, KNOWN);
  const materials = materialsOf(plan);
  const [kit] = kitsOf(unitPlans(plan, KNOWN).map((unit) => ({ ...unit, team: '' })));

  test('is done as it was written down by hand', () => {
    expect(
      units.map((unit): Done => {
        const dose = unit.doses.map(doseText).join(' + ');
        return [unit.crop?.commonName ?? '', unit.seeds, unit.depthMm, unit.medium, dose, unit.waterMl];
      }),
    ).toEqual(done);
    expect(units.some((unit) => unit.closing === closing)).toBe(true);
  });

  test('labels, kits, ticks and tablets say the same', () => {
    sowings.forEach(({ crop, seeds, depthMm, gets, sowingGets, items, waterMl }, at) => {
      const [ofCrop, ofSeeds, ofDepth, , dose, water] = done[at]!;
      expect([crop, seeds, depthMm, waterMl]).toEqual([ofCrop, ofSeeds, ofDepth, water]);
      expect(gets).toContain(dose);
      const isNow = dose !== '' && given !== 'before';
      expect(dose === '' || sowingGets === gets).toBe(given !== 'before' || dose === '');
      if (isNow) expect(items).toContain('treatment');
    });
  });

  test('supplies and kits hold its seeds, mixes and doses', () => {
    const seeds = new Map<string, number>();
    for (const [crop, count] of done) seeds.set(crop, (seeds.get(crop) ?? 0) + count * plan.replicates);
    const named = (rows: readonly { readonly cropId: string; readonly seeds: number }[]): unknown =>
      new Map(rows.map(({ cropId, seeds: count }) => [cropOf(cropId).commonName, count]));
    expect(named(materials.seedsByCrop)).toEqual(seeds);
    expect(named(kit!.seeds)).toEqual(seeds);
    const bought = [
      ...materials.mixes.map(({ material }) => material),
      ...materials.linings.map(({ medium }) => medium),
    ];
    for (const [, , , medium] of done) expect(bought.some((one) => medium.includes(one))).toBe(true);
    const doses = done.filter(([, , , , dose]) => dose !== '').length;
    expect(materials.doses.length > 0).toBe(doses > 0);
    expect(kit!.doses.map(({ when }) => when)).toEqual(kit!.doses.map(() => given));
    expect(materials.doses.every(({ total }) => total > 0)).toBe(true);
  });

  test('the calendar and the steps ask for what is done, and for nothing else', () => {
    const codes = codesOf(calendar);
    expect(codes.has('treat_mix')).toBe(given === 'before');
    expect(codes.has('thin')).toBe(isThinned);
    expect(codes.has('uncover')).toBe(closing === 'until_up' && calendar.emergence !== undefined);
    const isSealed = closing === 'sealed';
    const potting = calendar.tasks.find(({ code }) => code === 'pot_on')?.day;
    const firstWater = calendar.tasks.find(({ code }) => code === 'water')?.day;
    if (isSealed) expect(firstWater === undefined || firstWater > (potting ?? '')).toBe(true);
    const texts = plan.steps.map(({ text }) => text).join('\n');
    expect([SOIL_STEP.test(texts), SEALED_STEP.test(texts)]).toEqual([units[0]!.filling === 'mix', isSealed]);
  });

  test('the check asks for what must be done days before', () => {
    const codesOn = (today: typeof SOW): string[] =>
      reviewPlan({
        ...KNOWN,
        plan,
        today,
        units: unitPlans(plan, KNOWN).map(({ unit }) => ({ ...unit, team: '' })),
      }).map(({ facts }) => facts.code);
    expect(codesOn(TODAY)).not.toContain('preparation_past');
    const isLadder = plan.kind === 'ages';
    if (!isLadder) {
      expect(codesOn(SOW).includes('preparation_past')).toBe(given === 'before' || plan.kind === 'sorting');
    }
  });
});

test('a young plant set in deep says so on its label and in the steps, seed never does', () => {
  const deep = ACTIVITIES.find(({ name }) => name.startsWith('tomatoes put up'))!.plan;
  const asSeed = { ...deep, conditions: { ...deep.conditions, startsAs: 'seed' as const } };
  const [label, ofSeed] = [deep, asSeed].map(
    (plan) => potSowing(plan, treatmentsOf(plan)[0]!, plan.containers[0], KNOWN).gets,
  );
  expect(label).toBe(SET_IN_WORDS.two_thirds);
  expect(ofSeed).toBe('');
  const texts = (plan: Plan): string =>
    usualSteps(plan)
      .map(({ text }) => text)
      .join(' ');
  expect(texts(deep)).toMatch(/two thirds of its stem/);
  expect(texts(asSeed)).not.toMatch(/stem/);
});

test('cloves, corms and nuts begin with one for each plant, and are bought so', () => {
  for (const id of ['garlic', 'crocus', 'oak']) {
    const plan = planOf('one_factor', id);
    expect([id, plan.seedsPerUnit]).toEqual([id, plan.plantsPerUnit]);
    expect(materialsOf(plan).seedsByCrop[0]).toMatchObject({ cropId: id, seeds: 2 * plan.replicates });
  }
  expect(planOf('one_factor', 'beet').seedsPerUnit).toBe(2);
});

test.each([
  ['pan_sections', 'section'],
  ['box_rows', 'row'],
] as const)('what is done to a pot is done to each unit of %s', (kind, noun) => {
  const plan = planOf('crops', 'carrot', { container: kind });
  expect(unitNoun(plan.containers)).toBe(noun);
  const texts = plan.steps.map(({ text }) => text);
  expect(texts.filter((text) => /\bpots?\b/i.test(text))).toEqual([]);
  expect(texts.filter((text) => text.includes(noun)).length).toBeGreaterThan(1);
  expect(unitNoun([{ kind: 'cups' }, { kind }])).toBe('pot');
});

describe('plans by chance', () => {
  const MATERIALS = ['cold tea', 'sea salt', 'chalk'];
  const crops = fc.constantFrom(...STARTING_CROPS.map(({ id }) => id));
  const dose = fc.record({
    material: fc.constantFrom(...MATERIALS),
    amount: fc.constantFrom(0, 1, 5),
    unit: fc.constantFrom('g', 'mL', 'tablet', 'mL/L' as const),
  });
  const someLevel = fc.record(
    {
      cropId: crops,
      waterMl: fc.constantFrom(5, 30),
      light: fc.constantFrom('dark', 'shade'),
      isCovered: fc.boolean(),
      medium: fc.constantFrom('coir', '2 parts compost, 1 part sand'),
      plants: fc.constantFrom(1, 4),
      dose,
    },
    { requiredKeys: [] },
  );
  const somePlan = fc
    .record({
      kind: fc.constantFrom(...INVESTIGATION_KINDS),
      cropId: crops,
      container: fc.constantFrom(...CONTAINER_KINDS),
      levels: fc.array(someLevel, { minLength: 2, maxLength: 3 }),
      aspect: fc.constantFrom(...ASPECTS),
      replicates: fc.integer({ min: 1, max: 4 }),
      hasSoil: fc.boolean(),
      reactionDays: fc.constantFrom(0, 4),
      soakHours: fc.constantFrom(0, 12),
      cover: fc.constantFrom('none', 'until_up' as const),
      startsAs: fc.constantFrom('seed', 'bought' as const),
      potsOn: fc.boolean(),
      lessonIn: fc.integer({ min: 2, max: 60 }),
    })
    .map(({ kind, cropId, container, levels, aspect, lessonIn, potsOn, replicates, ...conditions }) => {
      const begun = planOf(kind, cropId, { container, conditions, replicates });
      const named = levels.map((changes, at) => level(`level ${at + 1}`, changes as Partial<PlanLevel>));
      return begunWith(begun, {
        ...begun,
        factors: kind === 'ages' ? begun.factors : [factor(aspect, ...named)],
        lessonOn: addDays(SOW, lessonIn),
        calendar: { ...begun.calendar, potsOn },
      });
    });

  test('water no sealed bag, give no dose twice, thin nothing that is counted', () => {
    fc.assert(
      fc.property(somePlan, (plan) => {
        const calendar = planCalendar(plan, KNOWN);
        const daysOf = (wanted: string): string[] =>
          calendar.tasks.flatMap(({ code, day }) => (code === wanted ? [day] : []));
        for (const unit of ofPlan(plan)) {
          const { items, sowingGets, waterMl } = potSowing(plan, unit.treatment, plan.containers[0], KNOWN);
          if (unit.closing === 'sealed') {
            expect([waterMl, unit.mixMl, unit.isThinned]).toEqual([0, 0, false]);
            expect(daysOf('uncover')).toEqual([]);
            expect(plan.steps.some(({ text }) => SOIL_STEP.test(text))).toBe(false);
            const first = daysOf('pot_on')[0];
            for (const day of daysOf('water')) expect(first !== undefined && day > first).toBe(true);
          }
          for (const given of unit.doses) {
            const said = sowingGets.split(doseText(given)).length - 1;
            expect(said).toBe(1);
            expect(sowingGets.includes('in the mix already')).toBe(
              unit.doses.some(({ when }) => when === 'before'),
            );
            if (given.when === 'before') expect(daysOf('treat_mix')).toHaveLength(1);
            else expect(items).toContain('treatment');
          }
          if (plan.measure.variable === 'seeds up') expect(unit.isThinned).toBe(false);
        }
        for (const day of [...daysOf('thin'), ...daysOf('read')]) expect(day <= plan.lessonOn).toBe(true);
      }),
      { numRuns: 120 },
    );
  });

  test('are mended by what the check offers, and nothing worse comes of it', () => {
    let offered = 0;
    const check = (plan: Plan) => {
      const units = plan.replicates > 0 ? plannedUnits(plan).map((unit) => ({ ...unit, team: '' })) : [];
      return reviewPlan({ plan, units, today: TODAY, ...KNOWN });
    };
    fc.assert(
      fc.property(somePlan, (plan) => {
        const before = check(plan);
        const stops = new Set(
          before.filter(({ severity }) => severity === 'stops').map(({ facts }) => facts.code),
        );
        for (const { facts, mend } of before.slice(0, 4)) {
          if (!mend) continue;
          offered += 1;
          const after = check({ ...plan, ...mend.changes });
          expect(after.map((one) => JSON.stringify(one.facts))).not.toContain(JSON.stringify(facts));
          const worse = after.filter((one) => one.severity === 'stops' && !stops.has(one.facts.code));
          expect(worse).toEqual([]);
        }
      }),
      { numRuns: 25 },
    );
    expect(offered).toBeGreaterThan(10);
  });

  test('name no crop that is not grown, and leave no level without its materials', () => {
    fc.assert(
      fc.property(somePlan, (plan) => {
        const units = unitPlans(plan, KNOWN);
        const materials = materialsOf(plan);
        const used = new Set(units.map(({ treatment }) => treatment.code));
        const bought = [
          ...materials.mixes.map(({ material }) => material.toLowerCase()),
          ...materials.linings.map(({ medium }) => medium.toLowerCase()),
        ];
        const grown = new Set(grownCrops(plan));
        expect(materials.seedsByCrop.every(({ cropId }) => grown.has(cropId))).toBe(true);
        for (const unit of units) {
          expect(grown.has(unit.cropId)).toBe(true);
          expect(bought.some((one) => unit.medium.toLowerCase().includes(one))).toBe(true);
          for (const { material, unit: measure } of unit.doses) {
            const isListed = materials.doses.some(
              (one) =>
                one.material === material &&
                one.unit === measure &&
                one.treatments.includes(unit.treatment.code),
            );
            expect([material, isListed]).toEqual([material, true]);
          }
        }
        expect(materials.doses.every(({ treatments }) => treatments.every((code) => used.has(code)))).toBe(
          true,
        );
      }),
      { numRuns: 120 },
    );
  });

  test('have no day in the past that the check does not speak of', () => {
    fc.assert(
      fc.property(somePlan, (plan) => {
        const { tasks } = planCalendar(plan, KNOWN);
        const units = unitPlans(plan, KNOWN).map(({ unit }) => ({ ...unit, team: '' }));
        const found = reviewPlan({ ...KNOWN, plan, today: SOW, units }).map(({ facts }) => facts.code);
        const isPast = tasks.some(({ code, day }) => day < SOW && code !== 'kits');
        const isSaid = found.some((code) => ['preparation_past', 'sowing_is_past'].includes(code));
        expect([isPast, isSaid]).toEqual([isPast, isPast]);
      }),
      { numRuns: 60 },
    );
  });
});
